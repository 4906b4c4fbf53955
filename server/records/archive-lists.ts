import { Cloth, FoamStock, Grade, migrateCloth, migrateGrade, StockMove, Trim } from '../../contract/index.ts'

/** Lists of the shop as they lie in an archive: the file, the table, its order, and how one thing of it is read. */
export const LISTS_OF_THE_SHOP = [
  { name: 'shop/grades.json', table: 'grades', order: 'place', read: (d: unknown) => Grade.parse(migrateGrade(d)) },
  { name: 'shop/cloths.json', table: 'cloths', order: 'place', read: (d: unknown) => Cloth.parse(migrateCloth(d)) },
  { name: 'shop/foam-stock.json', table: 'foam_stock', order: 'place', read: (d: unknown) => FoamStock.parse(d) },
  { name: 'shop/trims.json', table: 'trims', order: 'place', read: (d: unknown) => Trim.parse(d) },
  { name: 'shop/stock-moves.json', table: 'stock_moves', order: 'at', read: (d: unknown) => StockMove.parse(d) },
] as const satisfies readonly {
  readonly name: string
  readonly table: string
  readonly order: string
  readonly read: (document: unknown) => { readonly id: string }
}[]
