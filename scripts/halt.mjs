// What stops a script, in words for the person who ran it.

/** Something the person has to do; its message is the whole of what they are told. */
export class Halt extends Error {}

const PLACE = {
  EACCES: (place) =>
    `${place} may not be written by this user. Give it to the user who runs Jolvet, or set JOLVET_DATA to a folder of theirs.`,
  EPERM: (place) =>
    `${place} may not be written by this user. Give it to the user who runs Jolvet, or set JOLVET_DATA to a folder of theirs.`,
  EROFS: (place) => `${place} is on a disk that is read only. Set JOLVET_DATA to a folder that can be written.`,
  ENOSPC: (place) => `The disk of ${place} is full. Make room there and run this again; nothing was lost.`,
  EDQUOT: (place) =>
    `Your share of the disk of ${place} is used up. Make room there and run this again; nothing was lost.`,
  ENOTDIR: (place) =>
    `${place} is a file, where a folder is needed. Move it away or set JOLVET_DATA to another folder.`,
  EEXIST: (place) => `${place} is a file, where a folder is needed. Move it away or set JOLVET_DATA to another folder.`,
}

/** A failure of the file system as a sentence about the place; any other failure as it is. */
export const aboutPlace = (error, place) => (PLACE[error?.code] ? new Halt(PLACE[error.code](place)) : error)

/** Tells what went wrong in words; a failure nobody foresaw goes to a file, whole. */
export function tell(error, writeDetails) {
  if (error instanceof Halt) {
    console.error(error.message)
    return
  }
  const place = writeDetails?.(error)
  console.error(
    `This could not be done: ${error?.message?.split('\n')[0] ?? error}.${place ? ` Details: ${place}` : ''}`,
  )
}
