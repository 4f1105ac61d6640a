CREATE TABLE "desks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"salt" text NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "desks_name_unique" UNIQUE("name")
);
--> statement-breakpoint
CREATE TABLE "tries" (
	"who" text PRIMARY KEY NOT NULL,
	"count" integer NOT NULL,
	"last" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lessons" ADD COLUMN "desk" uuid;--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "station" uuid;--> statement-breakpoint
ALTER TABLE "lessons" ADD CONSTRAINT "lessons_desk_desks_id_fk" FOREIGN KEY ("desk") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;