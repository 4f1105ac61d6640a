CREATE TABLE "feedbacks" (
	"about" text NOT NULL,
	"well" text NOT NULL,
	"next" text NOT NULL,
	"by" text NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "improvements" (
	"condition" text NOT NULL,
	"what" text NOT NULL,
	"why" text NOT NULL,
	"by" text NOT NULL,
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "feedbacks" ADD CONSTRAINT "feedbacks_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "improvements" ADD CONSTRAINT "improvements_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "feedbacks_of_lesson" ON "feedbacks" USING btree ("lesson","sequence");--> statement-breakpoint
CREATE INDEX "improvements_of_lesson" ON "improvements" USING btree ("lesson","sequence");