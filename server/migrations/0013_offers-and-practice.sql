CREATE TABLE "offer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"seen" jsonb NOT NULL,
	"note" text NOT NULL,
	"state" text DEFAULT 'open' NOT NULL,
	"item_id" uuid,
	"created_at" timestamp (3) with time zone NOT NULL,
	"updated_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "practice_run" (
	"id" uuid PRIMARY KEY NOT NULL,
	"case_id" text NOT NULL,
	"asked" integer NOT NULL,
	"answered_right" integer NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "offer" ADD CONSTRAINT "offer_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;