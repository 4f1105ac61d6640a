CREATE TABLE "failures" (
	"condition" text NOT NULL,
	"repeat" integer NOT NULL,
	"reason" text NOT NULL,
	"by" text NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "failures" ADD CONSTRAINT "failures_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "failures_of_lesson" ON "failures" USING btree ("lesson","sequence");