CREATE TABLE "conclusions" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"text" text NOT NULL,
	"hands" integer,
	"agreed" boolean NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "events" (
	"number" bigserial PRIMARY KEY NOT NULL,
	"lesson" uuid NOT NULL,
	"body" jsonb NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lessons" (
	"id" uuid PRIMARY KEY NOT NULL,
	"plan" jsonb NOT NULL,
	"revision" integer NOT NULL,
	"code" text NOT NULL,
	"archived_at" timestamp with time zone,
	"created_at" timestamp with time zone NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	CONSTRAINT "lessons_code_unique" UNIQUE("code")
);
--> statement-breakpoint
CREATE TABLE "predictions" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"order" jsonb NOT NULL,
	"reason" text NOT NULL,
	"late" boolean NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"condition" text NOT NULL,
	"repeat" integer NOT NULL,
	"practice" boolean NOT NULL,
	"value" double precision NOT NULL,
	"unit" text NOT NULL,
	"entered" text NOT NULL,
	"status" text NOT NULL,
	"reason" text NOT NULL,
	"confirmed" boolean NOT NULL,
	"supersedes" uuid,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stations" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"lesson" uuid NOT NULL,
	"group" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "conclusions" ADD CONSTRAINT "conclusions_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "events" ADD CONSTRAINT "events_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "predictions" ADD CONSTRAINT "predictions_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stations" ADD CONSTRAINT "stations_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "conclusions_of_lesson" ON "conclusions" USING btree ("lesson","sequence");--> statement-breakpoint
CREATE INDEX "events_of_lesson" ON "events" USING btree ("lesson","number");--> statement-breakpoint
CREATE INDEX "predictions_of_lesson" ON "predictions" USING btree ("lesson","sequence");--> statement-breakpoint
CREATE INDEX "readings_of_lesson" ON "readings" USING btree ("lesson","sequence");