/** MariaDB's number for a key that is there already. */
export const DUPLICATE = 1062

interface DriverFault {
  code?: string
  errno?: number
  fatal?: boolean
}

/** The driver's code and number behind a failure, wherever it was wrapped; `fatal` where it lost its connection. */
export function driverFault(error: unknown): DriverFault {
  const found: DriverFault = {}
  for (let at = error; at instanceof Error; at = at.cause) {
    if ('code' in at && typeof at.code === 'string') found.code ??= at.code
    if ('errno' in at && typeof at.errno === 'number') found.errno ??= at.errno
    if ('fatal' in at && at.fatal === true) found.fatal = true
  }
  return found
}
