ALTER TABLE "entries" ADD COLUMN "reverts" text;--> statement-breakpoint
CREATE INDEX "entries_reverts" ON "entries" USING btree ("rig_id","reverts");--> statement-breakpoint
-- Read from the text and not with ->>, which refuses every document that has an escaped NUL somewhere.
UPDATE "entries" SET "reverts" = substring("command"::text from '^{"type":"revert","does":"(?:undo|redo)","entryId":"([^"\\]+)"') WHERE "command"::text LIKE '{"type":"revert"%';
