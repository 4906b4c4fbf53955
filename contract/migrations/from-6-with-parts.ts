import { isDocument, type Document } from './document.ts'

/** Version 6 knew one seat to a ticket: it is the only part of its ticket now. */
export function withParts(document: Document): Document {
  const { seat, filling, makeUp, cloth, allowances, making, fitting, ...ticket } = document
  const { cutting, ...filled } = isDocument(filling) ? filling : ({} as Document)
  const { cloth: face, others, ...lies } = isDocument(cloth) ? cloth : ({} as Document)
  const { book, ...own } = isDocument(allowances) ? allowances : ({} as Document)
  return {
    ...ticket,
    version: 7,
    parts: [
      {
        letter: 'A',
        name: '',
        pose: { kind: 'lies' },
        follows: null,
        seat,
        filling: isDocument(filling) ? filled : filling,
        makeUp,
        cloth: isDocument(cloth) ? { own: {}, ...lies } : cloth,
        allowances: isDocument(allowances) ? own : allowances,
      },
    ],
    cloth: isDocument(cloth) ? { cloth: face, others } : cloth,
    book,
    // Loose fibre had no foam to cut.
    cutting: cutting ?? CUTTING,
    making: lettered(making, 'papers'),
    fitting: lettered(fitting, 'fits'),
  }
}

/** Papers and fits were kept by the number of the cushion alone. */
function lettered(record: unknown, key: string): unknown {
  const byNumber = isDocument(record) ? record[key] : null
  return isDocument(record) && isDocument(byNumber)
    ? { ...record, [key]: Object.fromEntries(Object.entries(byNumber).map(([n, value]) => [`A${n}`, value])) }
    : record
}

const CUTTING = {
  tool: 'electric-knife',
  trimMm: 10,
  joint: 'butt',
  supply: 'sheets',
  glueGM2: 90,
  film: false,
  stock: [],
  nest: null,
}
