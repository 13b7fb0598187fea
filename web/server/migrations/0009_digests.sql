CREATE TABLE "digests" (
	"rig_id" text PRIMARY KEY NOT NULL,
	"engine" text NOT NULL,
	"write" text NOT NULL,
	"body" json NOT NULL
);
--> statement-breakpoint
ALTER TABLE "digests" ADD CONSTRAINT "digests_rig_id_rigs_id_fk" FOREIGN KEY ("rig_id") REFERENCES "public"."rigs"("id") ON DELETE cascade ON UPDATE no action;