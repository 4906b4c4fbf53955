import type { OldBody } from '../../contract/index.ts'

/** A thickness over all, as wide and deep as the seat. */
export const thick = (thicknessMm: number): OldBody['found'] => ({ widthMm: null, depthMm: null, thicknessMm })

/** A sound old body of 100 mm, as found. */
export const oldBody = (change: Partial<OldBody> = {}): OldBody => ({
  id: 'old-1',
  name: 'Old seat',
  count: 1,
  found: thick(100),
  recovered: null,
  newMm: null,
  said: '',
  crumbles: false,
  smells: false,
  cutOuts: '',
  topFace: '',
  test: null,
  use: 'keep',
  ...change,
})
