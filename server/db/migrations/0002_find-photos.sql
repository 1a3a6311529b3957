CREATE TABLE `photos` (
	`id` varchar(40) NOT NULL,
	`find_id` varchar(40) NOT NULL,
	`name` varchar(200) NOT NULL,
	`width` int NOT NULL,
	`height` int NOT NULL,
	`data` mediumblob NOT NULL,
	`at` datetime(3) NOT NULL,
	`taken_by` varchar(40) NOT NULL,
	CONSTRAINT `photos_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `finds` ADD `notes` varchar(2000) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `finds` ADD `cannot` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `finds` ADD `verdicts` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD `find_b` varchar(40);--> statement-breakpoint
ALTER TABLE `photos` ADD CONSTRAINT `photos_find_id_finds_id_fk` FOREIGN KEY (`find_id`) REFERENCES `finds`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `photos_find` ON `photos` (`find_id`);