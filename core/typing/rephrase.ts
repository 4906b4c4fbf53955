import { MAKE_UPS } from '../cover/index.ts'
import type { Grade } from '../../contract/index.ts'
import { firmnessOf, FAMILIES, hardnessOf, mainGrade } from '../filling/index.ts'
import type { TypingContext } from './failure.ts'

/**
 * The same said as people say it: lines of the grammar that a phrase may stand for, the likeliest first. Nothing is
 * guessed that the grammar itself would not take: a line that stands for nothing gives none.
 */
export function rephrased(line: string, context: TypingContext): readonly string[] {
  const text = plainly(line)
  const seats = SEATS.flatMap((say) => say(text) ?? [])
  const own = PHRASES.flatMap(([pattern, says]) => {
    const found = pattern.exec(text)
    return found ? [typeof says === 'string' ? says : says(found, context)].flat() : []
  })
  return [text, ...seats, ...own, ...namesIn(text, context)].filter((l) => l !== '' && l !== line)
}

const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']

/** Small letters, `by` and `×` as x, numbers in figures, units as the grammar writes them, no filler words. */
function plainly(line: string): string {
  return line
    .toLowerCase()
    .replace(/[.!]+$/, '')
    .replace(
      /\b(please|make it|make them|make|set|with|it is|they are|i want|i need|a|an|the|is|of|to be|about)\b/g,
      ' ',
    )
    .replace(/(\d["']?|in|inch|inches|cm|mm)\s*(?:by|×|\*)\s*(?=\d)/g, '$1 x ')
    .replace(/\b(?:inches|inch)\b/g, 'in')
    .replace(/\bmillimet(?:er|re)s?\b/g, 'mm')
    .replace(/\bcentimet(?:er|re)s?\b/g, 'cm')
    .replace(new RegExp(`\\b(${NUMBERS.join('|')})\\b`, 'g'), (n) => String(NUMBERS.indexOf(n) + 1))
    .replace(/\bpair\b(?=\s+cushion|\s+seat)/g, '2')
    .replace(/\s+/g, ' ')
    .trim()
}

const SIZE = String.raw`\d[\d./\s-]*(?:mm|cm|m|in|"|ft|')?`
const THING = String.raw`(?:loose |box |boxed |seat |square |dining |lounge |chair |back |sofa )*(?:cushions?|seats?|pads?|backs?|chairs?|mattress(?:es)?|kneelers?|squabs?)`
const SIZES = String.raw`${SIZE}\s*x\s*${SIZE}\s*x\s*${SIZE}`
const DEEP = String.raw`(?:,?\s*(?:x\s*)?(${SIZE})\s*(?:thick|high|deep)?)`

type SaySeat = (text: string) => string | null

/** `2 cushions 24 x 22 x 4`, `24 x 22 x 4, 3`, `round stool 14 in 3 thick`, `half circle 900`. */
const SEATS: readonly SaySeat[] = [
  (t) => {
    const [, count, , sizes] = new RegExp(`^(?:(\\d+) )?(${THING})[:,]? (${SIZES})$`).exec(t) ?? []
    return sizes ? `seat ${sizes} times ${count ?? 1}` : null
  },
  (t) => {
    const [, sizes, count] =
      new RegExp(`^(?:${THING}[:,]? )?(${SIZES})[,;]? ?(?:times |x ?|in )?(\\d+)(?: ${THING}| them| off)?$`).exec(t) ??
      []
    return sizes && !/\bin \d+$/.test(t) ? `seat ${sizes} times ${count}` : null
  },
  (t) => {
    const [, sizes] = new RegExp(`^(${SIZES})$`).exec(t) ?? []
    return sizes ? `seat ${sizes}` : null
  },
  (t) => {
    const [, sizes, count] =
      new RegExp(
        `^(?:window seat|long bench|bench seat|settle|bench cushion|bench)[:,]? (${SIZES})(?:[,;]? (?:in|divided into) (\\d+))?(?: ${THING})?$`,
      ).exec(t) ?? []
    return sizes ? `bench ${sizes} in ${count ?? 1}` : null
  },
  (t) => {
    const [, count, size, thick] =
      new RegExp(
        `^(?:(\\d+) )?(?:round|circular|circle|disc)(?: (?:stools?|seats?|cushions?|pads?|hassocks?|chairs?))?[:,]? (${SIZE})(?: across| diameter| wide)?${DEEP}$`,
      ).exec(t) ?? []
    return size && thick ? `disc ${inUnitOf(size, thick)} x ${thick.trim()} times ${count ?? 1}` : null
  },
  (t) => {
    const [, size, thick] =
      new RegExp(
        `^(?:half circle|half round|half moon|semicircle|semicircular)(?: (?:seat|cushion|pad))?[:,]? (${SIZE})(?: across| wide)?${DEEP}?$`,
      ).exec(t) ?? []
    return size ? `halfdisc ${thick ? inUnitOf(size, thick) : size.trim()} x ${thick?.trim() ?? '80 mm'}` : null
  },
]

/** A unit said with one of two sizes is that of both. */
function inUnitOf(size: string, other: string): string {
  const unit = /(mm|cm|in|")\s*$/.exec(size.trim())?.[1]
  const theirs = /(mm|cm|in|")\s*$/.exec(other.trim())?.[1]
  return unit || !theirs ? size.trim() : `${size.trim()} ${theirs}`
}

const SIDE = '(front|back|left|right)'
type Says = string | ((found: RegExpExecArray, context: TypingContext) => string | readonly string[])

/** Whole phrases, and the lines of the grammar they stand for. */
const PHRASES: readonly (readonly [pattern: RegExp, says: Says])[] = [
  [
    new RegExp(`^(?:put )?zip(?:per)? (?:at|in|on|along)? ?${SIDE}(?: edge| side)?$`),
    (m) => [`close zip gusset ${m[1]}`, `close zip in the seam ${m[1]}`, `close zip in seam ${m[1]}`],
  ],
  [/^zip(?:per)? (?:in|along) ?(?:back )?seam$/, 'close zip seam'],
  [/^(?:zip(?:per)? in )?gusset(?: zip)?$/, 'close zip gusset'],
  [/^(?:no zip(?:per)?|without zip(?:per)?|sewn shut|sew(?:n)? (?:it )?(?:up|closed))$/, 'close sewn shut'],
  [/^(?:no|without|remove|drop) (?:piping|pipe|cord|welt(?:ing)?)$|^(?:unpiped|not piped|plain edges)$/, 'pipe none'],
  [/^(?:pip(?:ed|ing)|welt(?:ed|ing)?)(?: (?:both|all round|all around|top and bottom|both rows))?$/, 'pipe both'],
  [
    /^(?:pip(?:ed|ing)|welt(?:ed|ing)?|pipe)(?: only)?(?: (?:on|along|at))? ?(top|bottom|front|back|left|right)(?: edges?)?(?: only| alone)?$/,
    (m) => `pipe ${m[1]}`,
  ],
  [
    /^(?:pip(?:ed|ing)|pipe)(?: (?:on|along|at))? ?(front|back|left|right) (?:and|,) (front|back|left|right)$/,
    (m) => `pipe ${m[1]} ${m[2]}`,
  ],
  [
    /^(?:pip(?:ed|ing)|pipe|cord)(?: cord)? (\d[\d./ ]*(?:mm|in|")?)(?: cord| thick)?$/,
    (m) => `pipe both cord ${m[1]}`,
  ],
  [/^(?:seam(?:s)?(?: allowances?)?|seam allowances?|allowances?)[: ]+(\d.*)$/, (m) => `sa ${m[1]}`],
  [/^(\d[\d./ ]*(?:mm|cm|in|")?) (?:seams?|seam allowances?|allowances?)$/, (m) => `sa ${m[1]}`],
  [
    /^(\d[\d./ ]*(?:mm|cm|in|"|ft)?) (?:thick|high)$|^(?:thick|height|high|thickness)[: ]+(\d.*)$/,
    (m) => `thickness ${m[1] ?? m[2]}`,
  ],
  [
    /^(\d[\d./ ]*(?:mm|cm|in|"|ft)?) wide$|^wide[: ]+(\d.*)$|^width[: ]+(\d.*)$/,
    (m) => [`width ${m[1] ?? m[2] ?? m[3]}`, `length ${m[1] ?? m[2] ?? m[3]}`],
  ],
  [
    /^(\d[\d./ ]*(?:mm|cm|in|"|ft)?) long$|^long[: ]+(\d.*)$|^length[: ]+(\d.*)$/,
    (m) => [`length ${m[1] ?? m[2] ?? m[3]}`, `width ${m[1] ?? m[2] ?? m[3]}`],
  ],
  [/^(\d[\d./ ]*(?:mm|cm|in|"|ft)?) deep$|^deep[: ]+(\d.*)$/, (m) => `depth ${m[1] ?? m[2]}`],
  [
    /^round(?:ed)? corners?[: ]+(\d.*)$|^corners? (?:rounded |round |radius )(\d.*)$|^corner radius[: ]+(\d.*)$|^(\d[\d./ ]*(?:mm|cm|in|")?) (?:round(?:ed)? corners|corner radius|radius)$/,
    (m) => `round ${m[1] ?? m[2] ?? m[3] ?? m[4]}`,
  ],
  [/^square corners?$|^no round(?:ed)? corners?$/, 'square'],
  [
    /^(\d+) (?:them|cushions?|pieces|off|seats?|chairs?|pads?)$|^x ?(\d+)$|^(?:how many|count|number)[: ]+(\d+)$/,
    (m, c) => (c.job?.seat.division.kind === 'run' ? `in ${m[1] ?? m[2] ?? m[3]}` : `times ${m[1] ?? m[2] ?? m[3]}`),
  ],
  [
    /^(?:divide|divided|split|cut)(?: it)?(?: into| in)? (\d+)$|^(\d+) (?:parts|sections|lengths)$/,
    (m) => `in ${m[1] ?? m[2]}`,
  ],
  [/^(?:railroad(?:ed)?|turn cloth|cloth sideways|sideways)$/, 'railroad'],
  [/^(?:up roll|cloth up roll|not railroaded)$/, 'up'],
  [
    /^(?:(soft|medium|firm|extra firm|hard) foam|foam[: ]+(soft|medium|firm|extra firm|hard)|(softer|firmer))$/,
    (m, c) => foamOf(m[1] ?? m[2] ?? m[3] ?? '', c),
  ],
  [
    /^(memory|latex|rebond|quick dry|quick-dry|closed cell|high resilience|hr)(?: foam)?$|^foam (memory|latex|rebond|quick dry|closed cell|hr)$/,
    (m, c) => foamOfFamily(m[1] ?? m[2] ?? '', c),
  ],
  [/^(?:fibre|fiber|feather(?:s)?|loose fibre|loose fiber|fill(?:ed)? fib(?:re|er))(?: fill(?:ing)?)?$/, 'fibre'],
  [/^(?:wrap|wadding|dacron|batting)[: ]+(\d.*)$/, (m) => `wadding ${m[1]}`],
  [/^(?:no|without) (?:wadding|wrap|batting)$/, 'wadding none'],
  [/^(?:no|without) liner$/, 'liner none'],
  [/^(?:inner cover|lined|liner)$/, 'liner'],
  [/^(?:no|without) buttons$|^untufted$/, 'buttons none'],
  [/^(?:tuft(?:ed|s)?|buttons?)[: ]+(\d+) ?x ?(\d+)$/, (m) => `buttons ${m[1]} x ${m[2]}`],
  [
    /^(?:for |used for |use )?(dining|lounge|sleeping|back|bench|cockpit|kneeler|hassock)(?: use)?$|^for (?:a )?(sofa|bed|boat)$/,
    (m) => `use ${{ sofa: 'lounge', bed: 'sleeping', boat: 'cockpit' }[m[2] ?? ''] ?? m[1]}`,
  ],
  [/^(?:outdoors?|outside|garden)$/, 'lives wet'],
  [/^(?:indoors?|inside)$/, 'lives indoors'],
  [/^(?:in sun|sunny)$/, 'lives sun'],
  [/^(?:gap|space)(?: between)?(?: them)?[: ]+(\d.*)$/, (m) => `gap ${m[1]}`],
  [/^(?:touching|no gap)$/, 'gap 0'],
  [/^(?:squeeze|squeezed)(?: together)?(?: by)?[: ]+(\d.*)$/, (m) => `squeeze ${m[1]}`],
  [/^(?:clearance|free|leave)[: ]+(\d.*?)(?: free| clearance)?$/, (m) => `clearance ${m[1]}`],
  [/^(?:wall|hinge|hull|open) (?:at|on|along) (.+)$/, (m) => `${m[0].split(' ')[0]} ${m[1]}`],
  [/^(?:backs?|left|right|front) against wall$/, (m) => `wall ${m[0].split(' ')[0]!.replace(/^backs$/, 'back')}`],
  [/^(?:mirror(?:ed)?|other hand|other way round)$/, 'mirror'],
  [
    /^(?:work )?in (inches|in|mm|cm|millimetres|centimetres)$|^(?:use )?(inches|metric|imperial|mm|cm|in)$/,
    (m) => `units ${{ inches: 'in', imperial: 'in', metric: 'mm' }[m[1] ?? m[2] ?? ''] ?? m[1] ?? m[2]}`,
  ],
  [/^(?:fabric|material|cover in|covered in|in)[: ]+([a-z ].*)$/, (m) => `cloth ${m[1]}`],
  [/^add (backs|bolsters|seats)$/, (m) => `part ${m[1]}`],
]

/** The grade of the shop nearest the middle of a firmness, ordinary foam first. */
function foamOf(word: string, { grades, job }: TypingContext): readonly string[] {
  const wanted = { soft: 'soft', medium: 'medium', firm: 'firm', hard: 'extra firm', 'extra firm': 'extra firm' }[word]
  const now = job?.filling.kind === 'foam' ? (hardnessOf(mainGrade(job.filling.layers)) ?? 0) : 0
  const hardness = (g: Grade) => hardnessOf(g) ?? 0
  const ordinary = grades.filter(
    (g) => (g.family === 'conventional' || g.family === 'high-resilience') && hardnessOf(g) !== null,
  )
  const fitting = wanted
    ? ordinary.filter((g) => firmnessOf(hardness(g)) === wanted)
    : ordinary.filter((g) => (word === 'softer' ? hardness(g) < now : hardness(g) > now))
  const [best] = fitting.toSorted(
    (a, b) =>
      Number(b.family === 'conventional') - Number(a.family === 'conventional') ||
      (wanted
        ? (b.densityKgM3 ?? 0) - (a.densityKgM3 ?? 0)
        : Math.abs(hardness(a) - now) - Math.abs(hardness(b) - now)),
  )
  return best ? [`foam ${best.name}`] : []
}

function foamOfFamily(word: string, { grades }: TypingContext): readonly string[] {
  const family = { hr: 'high-resilience' }[word] ?? word.replace(' ', '-')
  const found = grades.find((g) => g.family in FAMILIES && g.family === family)
  return found ? [`foam ${found.name}`] : []
}

/** A name alone: a make-up, a cloth or a grade of the shop. */
function namesIn(text: string, { grades, cloths }: TypingContext): readonly string[] {
  if (!/^[a-z][a-z0-9/ -]+$/.test(text)) return []
  const bare = text
    .replace(/^(?:makeup|make-up|style|cover) /, '')
    .replace(/ (?:cushions?|cover|style|foam|cloth)$/, '')
    .replaceAll('-', ' ')
  const words = bare.split(/\s+/)
  const has = (name: string) =>
    words.every((w) =>
      name
        .toLowerCase()
        .replaceAll('-', ' ')
        .split(' ')
        .some((n) => n === w || n.startsWith(w)),
    )
  return [
    ...Object.entries(MAKE_UPS).flatMap(([kind, { label }]) =>
      has(label) || has(kind.replaceAll('-', ' ')) ? [`makeup ${label}`] : [],
    ),
    ...cloths.flatMap((c) => (has(c.name) ? [`cloth ${c.name}`] : [])),
    ...grades.flatMap((g) => (has(g.name) ? [`foam ${g.name}`] : [])),
  ]
}
