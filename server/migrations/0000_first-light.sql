CREATE TABLE "cleaning" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"request" jsonb NOT NULL,
	"plan" jsonb NOT NULL,
	"events" jsonb NOT NULL,
	"started_at" timestamp (3) with time zone NOT NULL,
	"finished_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "contact" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"surface" text NOT NULL,
	"touches" integer NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "item" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"traits" jsonb NOT NULL,
	"notes" text NOT NULL,
	"acquired_on" date,
	"status" text DEFAULT 'in-use' NOT NULL,
	"archived_at" timestamp (3) with time zone,
	"created_at" timestamp (3) with time zone NOT NULL,
	"updated_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "log_entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"data" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "surface_state" (
	"item_id" uuid NOT NULL,
	"surface" text NOT NULL,
	"findings" jsonb NOT NULL,
	"verdict" text NOT NULL,
	"reason" text NOT NULL,
	"known_since" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "surface_state_item_id_surface_pk" PRIMARY KEY("item_id","surface")
);
--> statement-breakpoint
CREATE TABLE "look" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"at" text,
	"answers" jsonb NOT NULL,
	"started_at" timestamp (3) with time zone NOT NULL,
	"finished_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "due_task" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"task" text NOT NULL,
	"earliest" date NOT NULL,
	"due" date NOT NULL,
	"latest" date NOT NULL,
	"minutes" integer NOT NULL,
	"reason" text NOT NULL,
	CONSTRAINT "due_item_task" UNIQUE("item_id","task")
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"id" integer PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"schools" jsonb NOT NULL,
	"time_zone" text NOT NULL,
	"currency" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cleaning" ADD CONSTRAINT "cleaning_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "contact" ADD CONSTRAINT "contact_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "log_entry" ADD CONSTRAINT "log_entry_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surface_state" ADD CONSTRAINT "surface_state_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look" ADD CONSTRAINT "look_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "due_task" ADD CONSTRAINT "due_task_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "cleaning_open" ON "cleaning" USING btree ("item_id") WHERE finished_at is null;--> statement-breakpoint
CREATE INDEX "contact_item_at" ON "contact" USING btree ("item_id","at");--> statement-breakpoint
CREATE INDEX "item_name" ON "item" USING btree ("name");--> statement-breakpoint
CREATE INDEX "log_item_at" ON "log_entry" USING btree ("item_id","at");--> statement-breakpoint
CREATE INDEX "log_at" ON "log_entry" USING btree ("at");--> statement-breakpoint
CREATE UNIQUE INDEX "look_open" ON "look" USING btree ("item_id") WHERE finished_at is null;--> statement-breakpoint
CREATE INDEX "due_day" ON "due_task" USING btree ("due");