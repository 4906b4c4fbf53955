import type { Cloth } from '../../contract/index.ts'
import { usableWidth } from '../cover/index.ts'
import { at, isSimple } from '../outline/index.ts'

/** What the fields of a cloth say against each other, by the path of the field; empty when it is sound. */
export function clothFaults(cloth: Cloth): readonly { readonly path: string; readonly message: string }[] {
  const { widthMm, supply, flaws } = cloth
  const faults: { path: string; message: string }[] = []
  if (usableWidth(cloth) <= 0)
    faults.push({ path: '$.selvedgeMm', message: 'leave no cloth between them: make them narrower' })
  if (supply.kind === 'remnant') {
    if (supply.outline.some(([x]) => x > widthMm + 1e-6))
      faults.push({
        path: '$.supply',
        message: 'has a corner beyond the width of the cloth: mend the corner or the width',
      })
    else if (!isSimple(supply.outline.map(([x, y]) => at(x, y))))
      faults.push({
        path: '$.supply',
        message: 'has an outline that crosses itself: enter its corners in their order round the piece',
      })
  }
  flaws.forEach((f, i) => {
    if (f.xMm + f.widthMm > widthMm + 1e-6)
      faults.push({ path: `$.flaws[${i}]`, message: 'runs beyond the width of the cloth: make it narrower' })
  })
  return faults
}
