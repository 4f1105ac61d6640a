CREATE TABLE "placings" (
	"of" text NOT NULL,
	"row" uuid NOT NULL,
	"to" text,
	"condition" text,
	"aside" boolean NOT NULL,
	"by" text NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lessons" ADD COLUMN "arriving" uuid;--> statement-breakpoint
ALTER TABLE "placings" ADD CONSTRAINT "placings_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "placings_of_lesson" ON "placings" USING btree ("lesson","sequence");