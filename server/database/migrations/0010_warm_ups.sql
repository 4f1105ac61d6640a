CREATE TABLE "warm_ups" (
	"number" bigserial PRIMARY KEY NOT NULL,
	"lesson" uuid NOT NULL,
	"error" double precision NOT NULL
);
--> statement-breakpoint
ALTER TABLE "warm_ups" ADD CONSTRAINT "warm_ups_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "warm_ups_of_lesson" ON "warm_ups" USING btree ("lesson");