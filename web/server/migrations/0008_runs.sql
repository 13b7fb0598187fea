CREATE TABLE "run_events" (
	"run_id" text NOT NULL,
	"place" integer NOT NULL,
	"event_id" text NOT NULL,
	"event" json NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "run_events_run_id_place_pk" PRIMARY KEY("run_id","place")
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"id" text PRIMARY KEY NOT NULL,
	"rig_id" text NOT NULL,
	"plan" json NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"events" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
ALTER TABLE "run_events" ADD CONSTRAINT "run_events_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_rig_id_rigs_id_fk" FOREIGN KEY ("rig_id") REFERENCES "public"."rigs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "run_events_once" ON "run_events" USING btree ("run_id","event_id");--> statement-breakpoint
CREATE INDEX "runs_of_rig" ON "runs" USING btree ("rig_id","at");