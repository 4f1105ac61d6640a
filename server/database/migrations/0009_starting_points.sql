CREATE TABLE "starting_points" (
	"id" uuid PRIMARY KEY NOT NULL,
	"desk" uuid,
	"schema_version" integer NOT NULL,
	"body" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
