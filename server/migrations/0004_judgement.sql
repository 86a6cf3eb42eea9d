ALTER TABLE "settings" ADD COLUMN "drawer_is_all" boolean DEFAULT false NOT NULL;--> statement-breakpoint
-- Whoever kept a drawer kept to it: plans go on as before.
UPDATE "settings" SET "drawer_is_all" = EXISTS (SELECT 1 FROM "supply");--> statement-breakpoint
-- Coated or not became how it is coated.
UPDATE "item" SET "traits" = ("traits" - 'coated'::text) || jsonb_build_object('coating', CASE WHEN ("traits"->>'coated')::boolean THEN 'multi' ELSE 'none' END)
  WHERE "traits" ? 'coated';--> statement-breakpoint
UPDATE "cleaning" SET "request" = jsonb_set("request", '{item,traits}', (("request"#>'{item,traits}') - 'coated'::text)
  || jsonb_build_object('coating', CASE WHEN ("request"#>>'{item,traits,coated}')::boolean THEN 'multi' ELSE 'none' END))
  WHERE ("request"#>'{item,traits}') ? 'coated';--> statement-breakpoint
-- The mirror's usual school is now air and a soft brush.
UPDATE "settings" SET "schools" = jsonb_set("schools", '{mirror}', '"air-and-brush"') WHERE "schools"->>'mirror' = 'air-only';--> statement-breakpoint
UPDATE "cleaning" SET "chosen_schools" = jsonb_set("chosen_schools", '{mirror}', '"air-and-brush"') WHERE "chosen_schools"->>'mirror' = 'air-only';--> statement-breakpoint
UPDATE "cleaning" SET "request" = jsonb_set("request", '{schools,mirror}', '"air-and-brush"') WHERE "request"#>>'{schools,mirror}' = 'air-only';--> statement-breakpoint
-- A kept plan names the things it takes, and what it offers beside its steps.
UPDATE "cleaning" SET "plan" = "plan" || '{"openings": [], "alsoLook": [], "worthIt": []}'::jsonb || jsonb_build_object('steps', COALESCE((
  SELECT jsonb_agg(step || jsonb_build_object('takes',
    (CASE WHEN step->>'tool' IS NULL THEN '[]'::jsonb ELSE jsonb_build_array(jsonb_build_object('id', step->'tool')) END)
    || COALESCE((SELECT jsonb_agg(jsonb_build_object('id', used->'material')) FROM jsonb_array_elements(step->'uses') AS used), '[]'::jsonb)) ORDER BY place)
  FROM jsonb_array_elements("plan"->'steps') WITH ORDINALITY AS steps(step, place)), '[]'::jsonb))
  WHERE NOT "plan" ? 'openings';
