ALTER TABLE "studio" ADD COLUMN "temperature_c" double precision;--> statement-breakpoint
ALTER TABLE "studio" ADD COLUMN "places" json;--> statement-breakpoint
ALTER TABLE "studio" ADD COLUMN "lengths" text;--> statement-breakpoint
ALTER TABLE "studio" ADD COLUMN "paper" text;