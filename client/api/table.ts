import { TableState, type SendToTable } from '../../contract/index.ts'
import { fetchJson, known } from './http.ts'

const post = async (what: string, body: unknown = {}): Promise<TableState> =>
  known(TableState, await fetchJson(`/api/table/${what}`, { method: 'POST', body }))

export const tableState = async (): Promise<TableState> => known(TableState, await fetchJson('/api/table'))
export const sendToTable = (file: SendToTable): Promise<TableState> => post('cut', file)
export const stopTable = (): Promise<TableState> => post('stop')
export const resumeTable = (): Promise<TableState> => post('resume')
