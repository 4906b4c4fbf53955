import { isDocument, type Document } from './document.ts'

/**
 * Version 7 pressed a flat disc on the foam. Its contact area becomes how far a body reaches; what a round body gives
 * by itself (the peak, the window of the mean), and the share of a sleeper's whole body, go to the note in words.
 */
export function withRoundSitters(job: Document): Document {
  const parts = Array.isArray(job['parts']) ? (job['parts'] as unknown[]) : []
  const words = parts.flatMap((part) => leftOut(part))
  return {
    ...job,
    version: 8,
    parts: parts.map((part) => (isDocument(part) ? withRoundSitter(part) : part)),
    note: noted(job['note'], words),
  }
}

function withRoundSitter(part: Document): Document {
  const { filling } = part
  if (!isDocument(filling) || !isDocument(filling['load']) || !isDocument(filling['load']['own'])) return part
  const { load } = filling
  const {
    contactM2,
    peak: _peak,
    leastCompression: _least,
    mostCompression: _most,
    massShare,
    ...own
  } = load['own'] as Document
  return {
    ...part,
    filling: {
      ...filling,
      load: {
        ...load,
        own: {
          ...own,
          ...(massShare !== undefined && load['use'] !== 'sleeping' ? { massShare } : {}),
          ...(typeof contactM2 === 'number' && load['use'] !== 'sleeping' ? { reachMm: reachOf(contactM2) } : {}),
        },
      },
    },
  }
}

/** As far as the disc of that area reached. */
const reachOf = (contactM2: number): number =>
  Math.min(MOST_MM, Math.max(LEAST_MM, Math.round(Math.sqrt(contactM2 / Math.PI) * 1000)))
const LEAST_MM = 20
const MOST_MM = 600

function leftOut(part: unknown): readonly string[] {
  if (!isDocument(part) || !isDocument(part['filling']) || !isDocument(part['filling']['load'])) return []
  const { own, use } = part['filling']['load']
  if (!isDocument(own)) return []
  const gone = Object.entries(own).filter(
    ([name]) => name in WORDS || (use === 'sleeping' && (name === 'massShare' || name === 'contactM2')),
  )
  return gone.length === 0
    ? []
    : [
        `Own load figures of an older release, ${String(part['name'])}: ${gone.map(([name, value]) => `${WORDS[name] ?? OTHERS[name]} ${String(value)}`).join(', ')}.`,
      ]
}

const WORDS: Readonly<Record<string, string>> = {
  peak: 'peak over mean',
  leastCompression: 'least compression',
  mostCompression: 'most compression',
}
const OTHERS: Readonly<Record<string, string>> = { massShare: 'share of the body', contactM2: 'contact area in m²' }

/** A note that is full already is left as it is. */
function noted(note: unknown, words: readonly string[]): unknown {
  if (typeof note !== 'string' || words.length === 0) return note
  const longer = [...(note === '' ? [] : [note]), ...words].join('\n')
  return longer.length > LONGEST ? note : longer
}
const LONGEST = 4000
