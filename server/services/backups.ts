import { readdir, stat } from 'node:fs/promises'
import path from 'node:path'

/** When the newest backup was made that this server's start knows of; null where there is none. */
export async function lastBackup(folder = process.env.JOLVET_BACKUPS): Promise<Date | null> {
  if (!folder) return null
  const names = await readdir(folder).catch(() => [])
  const times = await Promise.all(
    names
      .filter((name) => name.endsWith('.gz'))
      .map((name) =>
        stat(path.join(folder, name)).then(
          ({ mtime }) => mtime,
          () => null,
        ),
      ),
  )
  return times.filter((time) => time !== null).sort((a, b) => b.getTime() - a.getTime())[0] ?? null
}
