import type { Cloth, ClothChoice, ClothRole } from '../../contract/index.ts'

/** The cloth that a panel is cut from. */
export const clothFor = (choice: ClothChoice, role: ClothRole): Cloth =>
  role === 'face' ? choice.cloth : (choice.others[role] ?? choice.cloth)

/** Between the selvedges. */
export const usableWidth = ({ widthMm, selvedgeMm }: Cloth): number => widthMm - selvedgeMm[0] - selvedgeMm[1]

/** Plain two-way cloth looks the same every way round. */
export const looksAlikeEveryWay = (cloth: Cloth): boolean => cloth.pattern.kind === 'plain' && cloth.nap === 'two-way'

/** A cloth that is cut by other sizes one way than the other may not be turned on its side. */
export const givesOrShrinks = ({ stretch, shrink, washFirst }: Cloth): boolean =>
  stretch.across > 0 || stretch.along > 0 || (!washFirst && (shrink.across > 0 || shrink.along > 0))
