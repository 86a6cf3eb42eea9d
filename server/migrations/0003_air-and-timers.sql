CREATE TABLE "calibration" (
	"id" uuid PRIMARY KEY NOT NULL,
	"device_id" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"points" jsonb NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "climate_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"place_id" uuid,
	"device_id" uuid,
	"at" timestamp (3) with time zone NOT NULL,
	"data" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "device_stay" (
	"id" uuid PRIMARY KEY NOT NULL,
	"device_id" uuid NOT NULL,
	"place_id" uuid NOT NULL,
	"since" timestamp (3) with time zone NOT NULL,
	"until" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "device" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"source" text NOT NULL,
	"outdoor" boolean NOT NULL,
	"every_minutes" double precision NOT NULL,
	"note" text NOT NULL,
	"token_hash" text,
	"forecast" jsonb,
	"stamp" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"archived_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "reading_day" (
	"device_id" uuid NOT NULL,
	"day" date NOT NULL,
	"count" integer NOT NULL,
	"readings" "bytea" NOT NULL,
	"hours" "bytea" NOT NULL,
	CONSTRAINT "reading_day_device_id_day_pk" PRIMARY KEY("device_id","day")
);
--> statement-breakpoint
CREATE TABLE "timer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"label" text NOT NULL,
	"item_id" uuid,
	"started_at" timestamp (3) with time zone NOT NULL,
	"ends_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "calibration" ADD CONSTRAINT "calibration_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "climate_event" ADD CONSTRAINT "climate_event_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "climate_event" ADD CONSTRAINT "climate_event_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device_stay" ADD CONSTRAINT "device_stay_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device_stay" ADD CONSTRAINT "device_stay_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_day" ADD CONSTRAINT "reading_day_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "timer" ADD CONSTRAINT "timer_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "calibration_device" ON "calibration" USING btree ("device_id","at");--> statement-breakpoint
CREATE INDEX "climate_event_place" ON "climate_event" USING btree ("place_id","at");--> statement-breakpoint
CREATE INDEX "climate_event_device" ON "climate_event" USING btree ("device_id","at");--> statement-breakpoint
CREATE UNIQUE INDEX "device_stay_open" ON "device_stay" USING btree ("device_id") WHERE until is null;--> statement-breakpoint
CREATE INDEX "device_stay_place" ON "device_stay" USING btree ("place_id");