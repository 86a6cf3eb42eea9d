CREATE TABLE "teardown_photo" (
	"teardown_id" uuid NOT NULL,
	"stage_id" uuid NOT NULL,
	"type" text NOT NULL,
	"data" "bytea" NOT NULL,
	CONSTRAINT "teardown_photo_teardown_id_stage_id_pk" PRIMARY KEY("teardown_id","stage_id")
);
--> statement-breakpoint
CREATE TABLE "teardown" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"depth" text NOT NULL,
	"phase" text DEFAULT 'opening' NOT NULL,
	"stages" jsonb NOT NULL,
	"started_at" timestamp (3) with time zone NOT NULL,
	"finished_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "place" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"volume_l" double precision NOT NULL,
	"air_changes_per_day" double precision,
	"openings_per_week" double precision NOT NULL,
	"lining" text NOT NULL,
	"low_pct" double precision NOT NULL,
	"high_pct" double precision NOT NULL,
	"stands_in_id" uuid,
	"note" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"archived_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "stay" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"place_id" uuid NOT NULL,
	"since" timestamp (3) with time zone NOT NULL,
	"until" timestamp (3) with time zone
);
--> statement-breakpoint
ALTER TABLE "cleaning" ADD COLUMN "chosen_schools" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "contact" ADD COLUMN "without_evidence" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "settings" ADD COLUMN "sensor_rehearsed_on" date;--> statement-breakpoint
ALTER TABLE "supply" ADD COLUMN "width_mm" double precision;--> statement-breakpoint
ALTER TABLE "teardown_photo" ADD CONSTRAINT "teardown_photo_teardown_id_teardown_id_fk" FOREIGN KEY ("teardown_id") REFERENCES "public"."teardown"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "teardown" ADD CONSTRAINT "teardown_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place" ADD CONSTRAINT "place_stands_in_id_place_id_fk" FOREIGN KEY ("stands_in_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stay" ADD CONSTRAINT "stay_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stay" ADD CONSTRAINT "stay_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "teardown_open" ON "teardown" USING btree ("item_id") WHERE finished_at is null;--> statement-breakpoint
CREATE UNIQUE INDEX "stay_open" ON "stay" USING btree ("item_id") WHERE until is null;--> statement-breakpoint
CREATE INDEX "stay_place" ON "stay" USING btree ("place_id");