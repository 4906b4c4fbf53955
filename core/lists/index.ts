export { blockLabels, type BlockLabel } from './block-labels.ts'
export { buyingList, type ClothLength, sheetSize, type BuyingList, type BuyLine } from './buying-list.ts'
export { chalkList, type ChalkLine } from './chalk-list.ts'
export { cutList, shapeNote } from './cut-list.ts'
