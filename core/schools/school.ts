import type { Edit } from '../job/index.ts'

/** A way that makers differ in, by name, with its reason and effect. */
export interface School {
  readonly id: string
  readonly name: string
  readonly says: string
  readonly edit: Edit
}
