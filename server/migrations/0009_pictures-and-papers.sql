CREATE TABLE "item_file" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"blob" text NOT NULL,
	"role" text NOT NULL,
	"name" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"chosen_at" timestamp (3) with time zone
);
--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "gone_why" text;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "gone_on" date;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "gone_for" double precision;--> statement-breakpoint
ALTER TABLE "item_file" ADD CONSTRAINT "item_file_item_id_item_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."item"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "item_file" ADD CONSTRAINT "item_file_blob_blob_hash_fk" FOREIGN KEY ("blob") REFERENCES "public"."blob"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "item_file_once" ON "item_file" USING btree ("item_id","blob");--> statement-breakpoint
CREATE INDEX "item_file_blob" ON "item_file" USING btree ("blob");