CREATE TABLE IF NOT EXISTS `acts` (
	`seq` bigint AUTO_INCREMENT NOT NULL,
	`act_key` varchar(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`name` varchar(40) NOT NULL,
	`record_id` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`clock` varchar(8) NOT NULL,
	`by_hand` varchar(40) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	`act_text` longtext NOT NULL,
	`hash` char(64) NOT NULL,
	CONSTRAINT `acts_seq` PRIMARY KEY(`seq`),
	CONSTRAINT `acts_key` UNIQUE(`act_key`),
	CONSTRAINT `acts_job_number` UNIQUE(`job_id`,`number`),
	KEY `acts_record` (`record_id`),
	CONSTRAINT `acts_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `looks` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`look` json NOT NULL,
	`verdict` varchar(8) NOT NULL,
	`found` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` datetime(3) NOT NULL,
	`updated_by` varchar(40) NOT NULL DEFAULT '',
	CONSTRAINT `looks_id` PRIMARY KEY(`id`),
	CONSTRAINT `looks_job_number` UNIQUE(`job_id`,`number`),
	CONSTRAINT `looks_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `uploads` (
	`act_key` varchar(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
	`digest` char(64) NOT NULL,
	`width` int NOT NULL,
	`height` int NOT NULL,
	`data` mediumblob NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `uploads_act_key` PRIMARY KEY(`act_key`)
);
--> statement-breakpoint
ALTER TABLE `offcuts` ADD COLUMN IF NOT EXISTS `version` int DEFAULT 1 NOT NULL;
