ALTER TABLE "conclusions" ADD COLUMN "group" text;--> statement-breakpoint
ALTER TABLE "conclusions" ADD COLUMN "from" uuid;--> statement-breakpoint
ALTER TABLE "conclusions" ADD COLUMN "by" text DEFAULT 'desk' NOT NULL;