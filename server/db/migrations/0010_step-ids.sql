ALTER TABLE `ticks` MODIFY COLUMN `step` varchar(24) NOT NULL;--> statement-breakpoint
ALTER TABLE `timers` MODIFY COLUMN `step` varchar(24) NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `aside` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `signoffs` ADD COLUMN IF NOT EXISTS `remarks` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `ticks` ADD COLUMN IF NOT EXISTS `did` varchar(700);--> statement-breakpoint
-- A step was named by its place; its code says what was ticked, whatever stood at that place since. Only a union has a code twice.
UPDATE IGNORE `ticks` SET `step` = IF(`code` = 'tighten' AND CAST(`step` AS UNSIGNED) >= 5, 'tighten-2', `code`) WHERE `step` REGEXP '^[0-9]+$' ORDER BY CAST(`step` AS UNSIGNED);--> statement-breakpoint
-- The same thing ticked at two places, once it had slid: the first stays.
DELETE FROM `ticks` WHERE `step` REGEXP '^[0-9]+$';--> statement-breakpoint
-- A wait kept no code: the places of waits, by method, as cards had them.
UPDATE IGNORE `timers` t JOIN `joints` j ON j.`id` = t.`joint_id` SET t.`step` = CASE CONCAT(COALESCE(JSON_UNQUOTE(JSON_EXTRACT(j.`way`, CONCAT('$.joints[', t.`entry`, '].method'))), ''), ' ', t.`step`)
  WHEN 'solder 10' THEN 'hold' WHEN 'solder 11' THEN 'wait' WHEN 'expansion 6' THEN 'hold' WHEN 'expansion 7' THEN 'wait' WHEN 'solvent-cement 8' THEN 'hold' WHEN 'solvent-cement 10' THEN 'cure' ELSE t.`step` END
  WHERE t.`step` REGEXP '^[0-9]+$';--> statement-breakpoint
DELETE FROM `timers` WHERE `step` REGEXP '^[0-9]+$';--> statement-breakpoint
UPDATE `joints` j JOIN (
  SELECT k.`id`, JSON_ARRAYAGG(JSON_SET(f.`fault`, '$.step', IF(f.`code` = 'tighten' AND CAST(f.`step` AS UNSIGNED) >= 5, 'tighten-2', f.`code`)) ORDER BY f.`n`) AS `faults`
  FROM `joints` k, JSON_TABLE(k.`faults`, '$[*]' COLUMNS (`n` FOR ORDINALITY, `fault` JSON PATH '$', `code` varchar(24) PATH '$.code', `step` varchar(24) PATH '$.step')) f
  WHERE f.`step` REGEXP '^[0-9]+$' GROUP BY k.`id`
) x ON x.`id` = j.`id` SET j.`faults` = x.`faults`;
