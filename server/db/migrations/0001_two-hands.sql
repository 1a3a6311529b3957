CREATE TABLE `clashes` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`kind` varchar(12) NOT NULL,
	`record_id` varchar(40) NOT NULL,
	`fields` json NOT NULL,
	`kept` varchar(8) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `clashes_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `receipts` (
	`write_key` varchar(64) NOT NULL,
	`request` char(64) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `receipts_write_key` PRIMARY KEY(`write_key`)
);
--> statement-breakpoint
ALTER TABLE `finds` ADD `updated_by` varchar(40) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD `updated_by` varchar(40) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `signoffs` ADD `seq` bigint AUTO_INCREMENT NOT NULL, ADD CONSTRAINT `signoffs_seq_unique` UNIQUE(`seq`);--> statement-breakpoint
ALTER TABLE `signoffs` ADD `corrects` varchar(40);--> statement-breakpoint
ALTER TABLE `clashes` ADD CONSTRAINT `clashes_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `clashes_job` ON `clashes` (`job_id`);--> statement-breakpoint
CREATE INDEX `receipts_at` ON `receipts` (`at`);