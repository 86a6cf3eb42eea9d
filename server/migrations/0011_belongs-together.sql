ALTER TABLE "item" ADD COLUMN "belongs_to" uuid;--> statement-breakpoint
ALTER TABLE "item" ADD CONSTRAINT "item_belongs_to_item_id_fk" FOREIGN KEY ("belongs_to") REFERENCES "public"."item"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "item_belongs_to" ON "item" USING btree ("belongs_to");