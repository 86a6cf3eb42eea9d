ALTER TABLE "journal_entry" ADD COLUMN "keeper" text;--> statement-breakpoint
ALTER TABLE "trail" ADD COLUMN "keeper" text;