/** A record without what the screen watches it by: it can be kept in the browser and handed to a worker. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
