CREATE TABLE "calendars" (
	"class_name" text PRIMARY KEY NOT NULL,
	"calendar" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "moves" (
	"number" bigserial PRIMARY KEY NOT NULL,
	"thing" uuid NOT NULL,
	"lesson" uuid,
	"why" text NOT NULL,
	"change" double precision NOT NULL,
	"broken" double precision DEFAULT 0 NOT NULL,
	"stock" double precision NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"name" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "things" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"unit" text NOT NULL,
	"stock" double precision NOT NULL,
	"place" text NOT NULL,
	"minimum" double precision,
	"pack" double precision,
	"price" double precision,
	"gone_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "moves" ADD CONSTRAINT "moves_thing_things_id_fk" FOREIGN KEY ("thing") REFERENCES "public"."things"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "moves" ADD CONSTRAINT "moves_lesson_lessons_id_fk" FOREIGN KEY ("lesson") REFERENCES "public"."lessons"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "moves_of_thing" ON "moves" USING btree ("thing","number");--> statement-breakpoint
CREATE INDEX "moves_of_lesson" ON "moves" USING btree ("lesson");