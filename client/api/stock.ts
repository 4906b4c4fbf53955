import { z } from 'zod'
import { StockMove, SupplierAnswer, type SupplierItem, type SupplierMood, type TakeStock } from '../../contract/index.ts'
import { fetchJson } from './http.ts'

/** All of it or nothing; the server names what is short. */
export const takeStock = async (taking: TakeStock): Promise<StockMove> => StockMove.parse(await fetchJson('/api/stock/take', { method: 'POST', body: taking }))
export const stockMoves = async (): Promise<readonly StockMove[]> => z.array(StockMove).parse(await fetchJson('/api/stock/moves'))
export const askSupplier = async (items: readonly SupplierItem[], mood: SupplierMood): Promise<SupplierAnswer> => SupplierAnswer.parse(await fetchJson('/api/supplier/ask', { method: 'POST', body: { items, mood } }))
