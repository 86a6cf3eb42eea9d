ALTER TABLE "log_entry" RENAME TO "journal_entry";--> statement-breakpoint
ALTER TABLE "journal_entry" RENAME COLUMN "item_id" TO "subject_id";--> statement-breakpoint
ALTER TABLE "journal_entry" DROP CONSTRAINT "log_entry_item_id_item_id_fk";--> statement-breakpoint
ALTER TABLE "journal_entry" ADD COLUMN "subject" text;--> statement-breakpoint
UPDATE "journal_entry" SET "subject" = 'thing', "data" = jsonb_build_object('v', 1, 'data', "data");--> statement-breakpoint
ALTER TABLE "journal_entry" ALTER COLUMN "subject" SET NOT NULL;--> statement-breakpoint
DROP INDEX "log_item_at";--> statement-breakpoint
DROP INDEX "log_at";--> statement-breakpoint
CREATE INDEX "journal_subject_at" ON "journal_entry" USING btree ("subject","subject_id","at");--> statement-breakpoint
CREATE INDEX "journal_at" ON "journal_entry" USING btree ("at");--> statement-breakpoint
-- A sticky finish that was worked on was told by the due look alone: from now on the clean says it.
UPDATE "journal_entry" SET "data" = jsonb_set("data", '{data,tacky}', 'true') WHERE "id" IN (
  SELECT DISTINCT ON (c."subject_id") c."id" FROM "journal_entry" c JOIN "due_task" d ON d."item_id" = c."subject_id"
  WHERE c."data"->'data'->>'kind' = 'clean' AND d."task" = 'sticky-look'
    AND (d."because"::text LIKE '%finish-was-worked-on%' OR d."because"::text LIKE '%sticky finish was worked on%')
  ORDER BY c."subject_id", c."at" DESC);--> statement-breakpoint
-- What was to be done once and had no entry that told why: what was put off in the field …
INSERT INTO "journal_entry" ("id", "subject", "subject_id", "at", "data")
  SELECT "id", 'thing', "item_id",
    least(now(), ("due" + time '23:59') AT TIME ZONE coalesce((SELECT "time_zone" FROM "settings" LIMIT 1), 'UTC')),
    jsonb_build_object('v', 1, 'data', jsonb_build_object('kind', 'due-task', 'task', "task", 'because', "because"))
  FROM "due_task" WHERE "task" = 'home-care' AND ("because"::text LIKE '%left-in-the-field%' OR "because"::text LIKE '%Left in the field%');--> statement-breakpoint
-- … and what shared a place with something sick: one entry for its three looks, on the day it was isolated.
INSERT INTO "journal_entry" ("id", "subject", "subject_id", "at", "data")
  SELECT DISTINCT ON ("item_id") "id", 'thing', "item_id",
    least(now(), ("due" - CASE "task" WHEN 'neighbour-look-12-weeks' THEN 84 WHEN 'neighbour-look-4-weeks' THEN 28 ELSE 0 END + time '12:00')
      AT TIME ZONE coalesce((SELECT "time_zone" FROM "settings" LIMIT 1), 'UTC')),
    jsonb_build_object('v', 1, 'data', jsonb_build_object('kind', 'due-task', 'task', "task", 'because', "because"))
  FROM "due_task" WHERE "task" LIKE 'neighbour-look%' ORDER BY "item_id", "due" DESC;--> statement-breakpoint
DROP TABLE "due_task";--> statement-breakpoint
CREATE TABLE "rhythm" (
  "id" uuid PRIMARY KEY NOT NULL,
  "version" integer DEFAULT 1 NOT NULL,
  "code" text NOT NULL,
  "scope" text NOT NULL,
  "scope_key" text NOT NULL,
  "rhythm" jsonb NOT NULL,
  CONSTRAINT "rhythm_scope" UNIQUE("code","scope","scope_key")
);--> statement-breakpoint
CREATE TABLE "outing" (
  "id" uuid PRIMARY KEY NOT NULL,
  "version" integer DEFAULT 1 NOT NULL,
  "name" text NOT NULL,
  "from_day" date NOT NULL,
  "to_day" date NOT NULL,
  "place" text NOT NULL,
  "item_ids" uuid[] NOT NULL,
  "met" text[] NOT NULL,
  "frames" integer,
  "lens_changes" integer,
  "hours" double precision,
  "note" text NOT NULL,
  "created_at" timestamp (3) with time zone NOT NULL
);--> statement-breakpoint
CREATE INDEX "outing_to" ON "outing" USING btree ("to_day");--> statement-breakpoint
CREATE TABLE "bench_times" (
  "id" integer PRIMARY KEY NOT NULL,
  "version" integer DEFAULT 1 NOT NULL,
  "times" jsonb NOT NULL
);--> statement-breakpoint
CREATE TABLE "calendar_feed" (
  "id" uuid PRIMARY KEY NOT NULL,
  "name" text NOT NULL,
  "token_hash" text NOT NULL,
  "filter" jsonb NOT NULL,
  "created_at" timestamp (3) with time zone NOT NULL,
  "fetched_at" timestamp (3) with time zone,
  CONSTRAINT "calendar_feed_token" UNIQUE("token_hash")
);--> statement-breakpoint
CREATE TABLE "calendar_event" (
  "uid" text PRIMARY KEY NOT NULL,
  "print" text NOT NULL,
  "sequence" integer NOT NULL,
  "changed_at" timestamp (3) with time zone NOT NULL,
  "cancelled" boolean NOT NULL,
  "entry" jsonb NOT NULL
);--> statement-breakpoint
CREATE TABLE "busy_calendar" (
  "id" uuid PRIMARY KEY NOT NULL,
  "name" text NOT NULL,
  "url" text,
  "read_at" timestamp (3) with time zone NOT NULL,
  "events" integer NOT NULL,
  "busy" jsonb NOT NULL,
  "problems" jsonb NOT NULL
);
