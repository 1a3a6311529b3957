CREATE TABLE `finds` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`place` varchar(120) NOT NULL,
	`typed` varchar(200) NOT NULL,
	`measured_by` varchar(20) NOT NULL,
	`answers` json NOT NULL,
	`pipe` varchar(60),
	`version` int NOT NULL DEFAULT 1,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `finds_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` varchar(40) NOT NULL,
	`slug` varchar(80) NOT NULL,
	`name` varchar(80) NOT NULL,
	`place` varchar(120) NOT NULL,
	`region` varchar(4) NOT NULL,
	`year` smallint,
	`policy` json NOT NULL,
	`handed_over` datetime(3),
	`position` int NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	CONSTRAINT `jobs_id` PRIMARY KEY(`id`),
	CONSTRAINT `jobs_slug_unique` UNIQUE(`slug`)
);
--> statement-breakpoint
CREATE TABLE `joints` (
	`id` varchar(40) NOT NULL,
	`job_id` varchar(40) NOT NULL,
	`number` int NOT NULL,
	`place` varchar(120) NOT NULL,
	`end_a` json,
	`end_b` json,
	`find_a` varchar(40),
	`conditions` json NOT NULL,
	`orientation` varchar(12) NOT NULL,
	`way_id` varchar(400),
	`way` json,
	`depths` json NOT NULL,
	`version` int NOT NULL DEFAULT 1,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `joints_id` PRIMARY KEY(`id`),
	CONSTRAINT `joints_job_number` UNIQUE(`job_id`,`number`)
);
--> statement-breakpoint
CREATE TABLE `signoffs` (
	`id` varchar(40) NOT NULL,
	`joint_id` varchar(40) NOT NULL,
	`initials` varchar(8) NOT NULL,
	`marks` json NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `signoffs_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `ticks` (
	`joint_id` varchar(40) NOT NULL,
	`entry` int NOT NULL,
	`step` int NOT NULL,
	`code` varchar(20) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `ticks_step` UNIQUE(`joint_id`,`entry`,`step`)
);
--> statement-breakpoint
CREATE TABLE `timers` (
	`joint_id` varchar(40) NOT NULL,
	`entry` int NOT NULL,
	`step` int NOT NULL,
	`seconds` int NOT NULL,
	`started_at` datetime(3) NOT NULL,
	CONSTRAINT `timers_step` UNIQUE(`joint_id`,`entry`,`step`)
);
--> statement-breakpoint
ALTER TABLE `finds` ADD CONSTRAINT `finds_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `joints` ADD CONSTRAINT `joints_job_id_jobs_id_fk` FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `signoffs` ADD CONSTRAINT `signoffs_joint_id_joints_id_fk` FOREIGN KEY (`joint_id`) REFERENCES `joints`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `ticks` ADD CONSTRAINT `ticks_joint_id_joints_id_fk` FOREIGN KEY (`joint_id`) REFERENCES `joints`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `timers` ADD CONSTRAINT `timers_joint_id_joints_id_fk` FOREIGN KEY (`joint_id`) REFERENCES `joints`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `finds_job` ON `finds` (`job_id`);