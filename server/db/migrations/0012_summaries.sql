CREATE TABLE IF NOT EXISTS `dropped_jobs` (
	`id` varchar(40) NOT NULL,
	`act_key` varchar(40) NOT NULL,
	`slug` varchar(80) NOT NULL,
	`name` varchar(80) NOT NULL,
	`by_hand` varchar(40) NOT NULL,
	`at` datetime(3) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	`acts` int NOT NULL,
	`head` char(64) NOT NULL,
	CONSTRAINT `dropped_jobs_id` PRIMARY KEY(`id`),
	KEY `dropped_jobs_slug` (`slug`),
	KEY `dropped_jobs_taken` (`taken_at`)
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `gists` (
	`job_id` varchar(40) NOT NULL,
	`kind` varchar(12) NOT NULL,
	`record_id` varchar(40) NOT NULL,
	`place` bigint NOT NULL,
	`gist` json NOT NULL,
	CONSTRAINT `gists_job_id_kind_record_id_pk` PRIMARY KEY(`job_id`,`kind`,`record_id`),
	CONSTRAINT `gists_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS `summaries` (
	`job_id` varchar(40) NOT NULL,
	`made` int NOT NULL,
	`name` varchar(80) NOT NULL,
	`shelf` varchar(8) NOT NULL,
	`wakes` varchar(10),
	`summary` json NOT NULL,
	`worked_at` datetime(3) NOT NULL,
	`worked_by` varchar(40) NOT NULL,
	`words` mediumtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
	`hands` mediumtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
	`days` mediumtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
	CONSTRAINT `summaries_job_id` PRIMARY KEY(`job_id`),
	KEY `summaries_shelf` (`shelf`,`worked_at`,`job_id`,`wakes`),
	CONSTRAINT `summaries_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action
);
--> statement-breakpoint
ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `archived_at` datetime(3);--> statement-breakpoint
ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `waits` json;--> statement-breakpoint
ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `acts` int DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `head` char(64) DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX IF NOT EXISTS `joints_come_back` ON `joints` (`come_back`);--> statement-breakpoint
UPDATE `jobs` JOIN `acts` AS `last` ON `last`.`job_id` = `jobs`.`id`
	AND `last`.`number` = (SELECT MAX(`number`) FROM `acts` WHERE `acts`.`job_id` = `jobs`.`id`)
	SET `jobs`.`acts` = `last`.`number`, `jobs`.`head` = `last`.`hash`;
