/**
 * What a record holds under a key that came from outside (the id of a cloth, the name of a run); undefined where it
 * holds nothing. A bare `record[key]` would find what every object inherits: `constructor`, `toString`.
 */
export const held = <T>(record: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(record, key) ? record[key] : undefined
