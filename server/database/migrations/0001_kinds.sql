CREATE TABLE "pictures" (
	"lesson" uuid NOT NULL,
	"id" uuid NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "pictures_lesson_id_pk" PRIMARY KEY("lesson","id")
);
--> statement-breakpoint
CREATE TABLE "remarks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"list" text NOT NULL,
	"text" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "predictions" ADD COLUMN "as" text DEFAULT 'order' NOT NULL;--> statement-breakpoint
ALTER TABLE "predictions" ADD COLUMN "values" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "moment" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "pictures" ADD CONSTRAINT "pictures_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "remarks" ADD CONSTRAINT "remarks_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "remarks_of_lesson" ON "remarks" USING btree ("lesson","sequence");