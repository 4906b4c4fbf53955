export { buyingList } from './buying-list.ts'
export type { BuyingList, BuyLine, ClothLength } from './buy-line.ts'
export { sheetSize } from './foam-lines.ts'
