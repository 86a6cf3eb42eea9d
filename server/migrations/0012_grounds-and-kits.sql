ALTER TABLE "outing" ADD COLUMN "also" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "outing" ADD COLUMN "weather" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "outing" ADD COLUMN "travel" text DEFAULT 'own-way' NOT NULL;--> statement-breakpoint
ALTER TABLE "outing" ADD COLUMN "kit" text;--> statement-breakpoint
ALTER TABLE "supply" ADD COLUMN "kit" text;