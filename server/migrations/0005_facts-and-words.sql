ALTER TABLE "surface_state" ADD COLUMN "because" jsonb;--> statement-breakpoint
UPDATE "surface_state" SET "because" = jsonb_build_object('v', 1, 'data', jsonb_build_object(
  'text', "reason", 'verdict', "verdict", 'surface', "surface", 'findings', "findings",
  'kind', (SELECT "kind" FROM "item" WHERE "item"."id" = "surface_state"."item_id"),
  'traits', (SELECT "traits" FROM "item" WHERE "item"."id" = "surface_state"."item_id"),
  'schools', (SELECT "schools" FROM "settings" WHERE "settings"."id" = 1)));--> statement-breakpoint
ALTER TABLE "surface_state" ALTER COLUMN "because" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "surface_state" DROP COLUMN "reason";--> statement-breakpoint
ALTER TABLE "due_task" ADD COLUMN "because" jsonb;--> statement-breakpoint
UPDATE "due_task" SET "because" = jsonb_build_object('v', 1, 'data', jsonb_build_object('task', "task", 'text', "reason"));--> statement-breakpoint
ALTER TABLE "due_task" ALTER COLUMN "because" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "due_task" DROP COLUMN "reason";--> statement-breakpoint
ALTER TABLE "timer" ADD COLUMN "size" text;--> statement-breakpoint
ALTER TABLE "timer" ADD COLUMN "wrapping" text;--> statement-breakpoint
UPDATE "timer" SET
  "wrapping" = CASE WHEN "label" LIKE '%padded bag%' THEN 'padded-bag' WHEN "label" LIKE '%plastic bag%' THEN 'plastic-bag' ELSE 'bare' END,
  "size" = CASE WHEN "label" ILIKE 'a small lens%' THEN 'small-lens' WHEN "label" ILIKE 'a middling zoom%' THEN 'mid-lens'
    WHEN "label" ILIKE 'a long lens%' THEN 'long-lens' WHEN "label" ILIKE 'a body%' THEN 'body'
    WHEN "label" ILIKE 'binoculars%' THEN 'binocular' WHEN "label" ILIKE 'a small telescope%' THEN 'telescope' END;--> statement-breakpoint
ALTER TABLE "timer" ALTER COLUMN "wrapping" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "timer" DROP COLUMN "label";--> statement-breakpoint
UPDATE "cleaning" SET "plan" = jsonb_build_object('v', 1, 'data', jsonb_build_object('plan', "plan", 'request', "request"));--> statement-breakpoint
UPDATE "cleaning" SET "request" = jsonb_build_object('v', 1, 'data', "request"), "events" = jsonb_build_object('v', 1, 'data', "events");--> statement-breakpoint
ALTER TABLE "cleaning" ALTER COLUMN "chosen_schools" DROP DEFAULT;--> statement-breakpoint
UPDATE "cleaning" SET "chosen_schools" = jsonb_build_object('v', 1, 'data', "chosen_schools");--> statement-breakpoint
UPDATE "item" SET "traits" = jsonb_build_object('v', 1, 'data', "traits");--> statement-breakpoint
UPDATE "teardown" SET "stages" = jsonb_build_object('v', 1, 'data', "stages");--> statement-breakpoint
UPDATE "look" SET "answers" = jsonb_build_object('v', 1, 'data', "answers");--> statement-breakpoint
UPDATE "settings" SET "schools" = jsonb_build_object('v', 1, 'data', "schools");--> statement-breakpoint
UPDATE "climate_event" SET "data" = jsonb_build_object('kind', 'clock-jump', 'backMin', (regexp_match("data"->>'detail', 'by (\d+) min'))[1]::int)
  WHERE "data"->>'kind' = 'clock-jump';
