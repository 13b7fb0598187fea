CREATE TABLE "own_models" (
	"id" text NOT NULL,
	"version" integer NOT NULL,
	"written" integer NOT NULL,
	"model" json NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "own_models_id_version_pk" PRIMARY KEY("id","version")
);
