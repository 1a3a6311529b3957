CREATE TABLE `cuts` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`name` varchar(120) NOT NULL,
	`pipe` varchar(60) NOT NULL,
	`sources` json NOT NULL,
	`extras` json NOT NULL,
	`cutter` varchar(12) NOT NULL,
	`kerf` varchar(40) NOT NULL,
	`keep_from` varchar(40) NOT NULL,
	`spare` varchar(40) NOT NULL,
	`prefer` varchar(16) NOT NULL,
	`stock` json NOT NULL,
	`left_alone` json NOT NULL,
	`plan` json,
	`done` json NOT NULL,
	`result` json,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` datetime(3) NOT NULL,
	`updated_by` varchar(40) NOT NULL DEFAULT '',
	CONSTRAINT `cuts_id` PRIMARY KEY(`id`),
	CONSTRAINT `cuts_job_number` UNIQUE(`job_id`,`number`)
);
--> statement-breakpoint
CREATE TABLE `offcuts` (
	`id` varchar(40) NOT NULL,
	`pipe` varchar(60) NOT NULL,
	`length` double NOT NULL,
	`place` varchar(80) NOT NULL,
	`job_id` varchar(40),
	`origin` varchar(160) NOT NULL,
	`at` datetime(3) NOT NULL,
	`put_by` varchar(40) NOT NULL DEFAULT '',
	`promised_to` varchar(40),
	CONSTRAINT `offcuts_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `cuts` ADD CONSTRAINT `cuts_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `offcuts` ADD CONSTRAINT `offcuts_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `offcuts` ADD CONSTRAINT `offcuts_promised_to_cuts_id_fk` FOREIGN KEY (`promised_to`) REFERENCES `cuts`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `offcuts_promised` ON `offcuts` (`promised_to`);