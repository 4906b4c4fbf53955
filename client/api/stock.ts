import { z } from 'zod'
import {
  StockMove,
  type GiveBack,
  SupplierAnswer,
  type SupplierItem,
  type SupplierMood,
  type TakeStock,
} from '../../contract/index.ts'
import { fetchJson, known } from './http.ts'

/** All of it or nothing; the server names what is short. */
export const takeStock = async (taking: TakeStock): Promise<StockMove> =>
  known(StockMove, await fetchJson('/api/stock/take', { method: 'POST', body: taking, act: taking.id }))
/** Lays what a job took back on the shelves. */
export const giveStockBack = async (act: GiveBack): Promise<StockMove> =>
  known(StockMove, await fetchJson('/api/stock/give-back', { method: 'POST', body: act, act: act.id }))

export const stockMoves = async (): Promise<readonly StockMove[]> =>
  known(z.array(StockMove), await fetchJson('/api/stock/moves'))
export const askSupplier = async (items: readonly SupplierItem[], mood: SupplierMood): Promise<SupplierAnswer> =>
  known(SupplierAnswer, await fetchJson('/api/supplier/ask', { method: 'POST', body: { items, mood } }))
