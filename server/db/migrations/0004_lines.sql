CREATE TABLE `lines` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`pipe` varchar(60) NOT NULL,
	`method` varchar(20) NOT NULL,
	`corners` varchar(12) NOT NULL,
	`begins_at` varchar(100) NOT NULL,
	`walls` json NOT NULL,
	`legs` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` datetime(3) NOT NULL,
	`updated_by` varchar(40) NOT NULL DEFAULT '',
	CONSTRAINT `lines_id` PRIMARY KEY(`id`),
	CONSTRAINT `lines_job_number` UNIQUE(`job_id`,`number`)
);
--> statement-breakpoint
ALTER TABLE `jobs` ADD `benders` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD CONSTRAINT `lines_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action;