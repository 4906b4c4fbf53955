import type { Job } from '../../contract/index.ts'

export const sameJob = (a: Job, b: Job | null): boolean => JSON.stringify(a) === JSON.stringify(b)
