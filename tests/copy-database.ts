import { cpSync } from 'node:fs'
import path from 'node:path'

/** Files of a process that ran on the database, not of its data. */
const OF_A_PROCESS = new Set(['mariadbd.pid', 'error.log', 'init.sql'])

/** Copies a database that is stopped to a folder that is not there yet. */
export const copyDatabase = (from: string, to: string) =>
  cpSync(from, to, { recursive: true, filter: (file) => !OF_A_PROCESS.has(path.basename(file)) })
