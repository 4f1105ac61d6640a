CREATE TABLE "togethers" (
	"id" uuid PRIMARY KEY NOT NULL,
	"code" text NOT NULL,
	"body" jsonb NOT NULL,
	"desk" uuid,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "togethers_code_unique" UNIQUE("code")
);
--> statement-breakpoint
ALTER TABLE "lessons" ADD COLUMN "together" uuid;--> statement-breakpoint
ALTER TABLE "lessons" ADD COLUMN "together_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "togethers" ADD CONSTRAINT "togethers_desk_desks_id_fk" FOREIGN KEY ("desk") REFERENCES "public"."desks"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lessons" ADD CONSTRAINT "lessons_together_togethers_id_fk" FOREIGN KEY ("together") REFERENCES "public"."togethers"("id") ON DELETE no action ON UPDATE no action;