/* What the stores ask of core. It is brought by `bringRules`, and imported by nothing else. */
export { actOf, applyToJob, laneOf, mergeFields, takeBackOf } from '#core/acts'
export { toIssue } from '#core/contract'
export { beginJob, comingBack, completeJob, gistOfJob, isMade, knowGist, summaryOf } from '#core/record'
export { entryWords, recordWords } from '~/wording/entry'
