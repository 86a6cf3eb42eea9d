CREATE TABLE "blob_part" (
	"hash" text NOT NULL,
	"part" integer NOT NULL,
	"data" "bytea" NOT NULL,
	CONSTRAINT "blob_part_hash_part_pk" PRIMARY KEY("hash","part")
);
--> statement-breakpoint
CREATE TABLE "blob" (
	"hash" text PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"bytes" integer NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "look_photo" (
	"id" uuid PRIMARY KEY NOT NULL,
	"look_id" uuid NOT NULL,
	"surface" text NOT NULL,
	"blob" text NOT NULL,
	"keeps_all" boolean NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "dismissed_spot" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"x" double precision NOT NULL,
	"y" double precision NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "glare_test" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"taken_at" timestamp (3) with time zone NOT NULL,
	"glare_pct" double precision NOT NULL,
	"low_pct" double precision NOT NULL,
	"high_pct" double precision NOT NULL,
	"black_pct" double precision NOT NULL,
	"f_number" double precision,
	"iso" double precision,
	"exposure_s" double precision,
	"body" text,
	"style" text,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sensor_frame" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"taken_at" timestamp (3) with time zone NOT NULL,
	"data" jsonb NOT NULL,
	"preview" text,
	"original" text,
	"created_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trail" (
	"id" uuid PRIMARY KEY NOT NULL,
	"day" date NOT NULL,
	"device_id" uuid,
	"act" text NOT NULL,
	"subject" text NOT NULL,
	"subject_id" uuid,
	"first_at" timestamp (3) with time zone NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"times" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "blob_part" ADD CONSTRAINT "blob_part_hash_blob_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."blob"("hash") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "teardown_photo" ADD COLUMN "blob" text;--> statement-breakpoint
UPDATE "teardown_photo" SET "blob" = encode(sha256("data"), 'hex');--> statement-breakpoint
INSERT INTO "blob" ("hash", "type", "bytes", "created_at")
	SELECT DISTINCT ON (p."blob") p."blob", p."type", length(p."data"), t."started_at"
	FROM "teardown_photo" p JOIN "teardown" t ON t."id" = p."teardown_id" ORDER BY p."blob";--> statement-breakpoint
INSERT INTO "blob_part" ("hash", "part", "data")
	SELECT d."blob", n, substring(d."data" FROM n * 524288 + 1 FOR 524288)
	FROM (SELECT DISTINCT ON ("blob") "blob", "data" FROM "teardown_photo" ORDER BY "blob") d,
	generate_series(0, (length(d."data") - 1) / 524288) n;--> statement-breakpoint
ALTER TABLE "teardown_photo" ALTER COLUMN "blob" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "teardown_photo" DROP COLUMN "type";--> statement-breakpoint
ALTER TABLE "teardown_photo" DROP COLUMN "data";--> statement-breakpoint
ALTER TABLE "teardown_photo" ADD CONSTRAINT "teardown_photo_blob_blob_hash_fk" FOREIGN KEY ("blob") REFERENCES "public"."blob"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look_photo" ADD CONSTRAINT "look_photo_look_id_look_id_fk" FOREIGN KEY ("look_id") REFERENCES "public"."look"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look_photo" ADD CONSTRAINT "look_photo_blob_blob_hash_fk" FOREIGN KEY ("blob") REFERENCES "public"."blob"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "dismissed_spot" ADD CONSTRAINT "dismissed_spot_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "glare_test" ADD CONSTRAINT "glare_test_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sensor_frame" ADD CONSTRAINT "sensor_frame_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sensor_frame" ADD CONSTRAINT "sensor_frame_preview_blob_hash_fk" FOREIGN KEY ("preview") REFERENCES "public"."blob"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sensor_frame" ADD CONSTRAINT "sensor_frame_original_blob_hash_fk" FOREIGN KEY ("original") REFERENCES "public"."blob"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "look_photo_look" ON "look_photo" USING btree ("look_id");--> statement-breakpoint
CREATE INDEX "dismissed_spot_item" ON "dismissed_spot" USING btree ("item_id");--> statement-breakpoint
CREATE INDEX "glare_test_item" ON "glare_test" USING btree ("item_id","taken_at");--> statement-breakpoint
CREATE INDEX "sensor_frame_item" ON "sensor_frame" USING btree ("item_id","taken_at");--> statement-breakpoint
CREATE INDEX "trail_day" ON "trail" USING btree ("day");--> statement-breakpoint
CREATE INDEX "trail_at" ON "trail" USING btree ("at","id");--> statement-breakpoint
CREATE INDEX "trail_device" ON "trail" USING btree ("device_id","at");