CREATE TABLE "picture_pieces" (
	"picture" uuid NOT NULL,
	"lesson" uuid NOT NULL,
	"number" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "picture_pieces_lesson_picture_number_pk" PRIMARY KEY("lesson","picture","number")
);
--> statement-breakpoint
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
ALTER TABLE "picture_pieces" ADD CONSTRAINT "picture_pieces_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "placings" ADD CONSTRAINT "placings_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "placings_of_lesson" ON "placings" USING btree ("lesson","sequence");--> statement-breakpoint
-- Pictures do not get smaller; tried and not, they are as quick again to write.
ALTER TABLE "pictures" ALTER COLUMN "bytes" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "picture_pieces" ALTER COLUMN "bytes" SET STORAGE EXTERNAL;
