CREATE TABLE "studio" (
	"id" integer PRIMARY KEY NOT NULL,
	"currency" text NOT NULL
);
