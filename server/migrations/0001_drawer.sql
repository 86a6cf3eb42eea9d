CREATE TABLE "supply" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"thing" text NOT NULL,
	"role" text NOT NULL,
	"state" text NOT NULL,
	"uses_since_wash" integer DEFAULT 0 NOT NULL,
	"stock" integer,
	"pack_size" integer,
	"pack_price" double precision,
	"opened_on" date,
	"note" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL
);
