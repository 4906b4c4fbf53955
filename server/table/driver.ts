import type { SendToTable, TableState } from '../../contract/index.ts'

/** A cutting table, whatever stands behind it. Every order answers with what the table is doing after it. */
export interface CuttingTable {
  readonly cut: (file: SendToTable) => Promise<TableState>
  readonly stop: () => Promise<TableState>
  readonly resume: () => Promise<TableState>
  readonly state: () => Promise<TableState>
}
