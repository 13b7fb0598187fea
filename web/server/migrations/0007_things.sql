CREATE TABLE "things" (
	"id" text PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"thing" json NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone
);
