CREATE TABLE "observations" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"condition" text,
	"repeat" integer,
	"kind" text NOT NULL,
	"text" text NOT NULL,
	"picture" uuid,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lessons" ADD COLUMN "board" jsonb;--> statement-breakpoint
ALTER TABLE "stations" ADD COLUMN "id" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "stations" ADD COLUMN "locked" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "observations" ADD CONSTRAINT "observations_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "observations_of_lesson" ON "observations" USING btree ("lesson","sequence");--> statement-breakpoint
ALTER TABLE "stations" ADD CONSTRAINT "stations_id_unique" UNIQUE("id");