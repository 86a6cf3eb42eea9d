ALTER TABLE "device" ADD COLUMN "intake" jsonb;--> statement-breakpoint
ALTER TABLE "device" ADD COLUMN "last_word" jsonb;