CREATE TABLE "entries" (
	"rig_id" text NOT NULL,
	"revision" integer NOT NULL,
	"entry_id" text NOT NULL,
	"author" text NOT NULL,
	"command" json NOT NULL,
	"changes" json NOT NULL,
	"says" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "entries_rig_id_revision_pk" PRIMARY KEY("rig_id","revision")
);
--> statement-breakpoint
CREATE TABLE "rigs" (
	"id" text PRIMARY KEY NOT NULL,
	"document" json NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_rig_id_rigs_id_fk" FOREIGN KEY ("rig_id") REFERENCES "public"."rigs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "entries_once" ON "entries" USING btree ("rig_id","entry_id");--> statement-breakpoint
CREATE INDEX "rigs_by_change" ON "rigs" USING btree ("changed_at");