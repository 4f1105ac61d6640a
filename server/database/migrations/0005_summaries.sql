CREATE TABLE "summaries" (
	"lesson" uuid PRIMARY KEY NOT NULL,
	"made_by" text NOT NULL,
	"face" jsonb NOT NULL,
	"date" text NOT NULL,
	"class_name" text NOT NULL,
	"words" text NOT NULL,
	"judged" jsonb,
	"judged_revision" integer,
	"judged_event" bigint,
	"judged_school" text
);
--> statement-breakpoint
ALTER TABLE "conclusions" ALTER COLUMN "by" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "predictions" ALTER COLUMN "as" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "predictions" ALTER COLUMN "values" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "readings" ALTER COLUMN "moment" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "summaries" ADD CONSTRAINT "summaries_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "summaries_by_day" ON "summaries" USING btree ("date");