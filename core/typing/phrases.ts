import { parseLength } from '../units/index.ts'
import { slotOf, valueOf } from '../seat/index.ts'
import type { TypingContext } from './failure.ts'
import { foamOf, foamOfFamily } from './names-alone.ts'
import { PLACE } from './cloth-edits.ts'
import { spokenSlot } from './shape-edits.ts'

const SIDE = '(front|back|left|right)'
/** One corner, or those of a side. */
const CORNERS = '((?:front|back|near|far)(?: left| right)?|left|right)'
const ANGLE = String.raw`(\d[\d.]*)(?: ?(?:degrees?|deg|°))?`
type Says =
  string | readonly string[] | ((found: RegExpExecArray, context: TypingContext) => string | readonly string[])

/** Whole phrases, and the lines of the grammar they stand for. */
export const PHRASES: readonly (readonly [pattern: RegExp, says: Says])[] = [
  [
    new RegExp(`^(?:put )?zip(?:per)? (?:at|in|on|along|to)? ?${SIDE}(?: edge| side)?$`),
    (m) => [`close zip gusset ${m[1]}`, `close zip in the seam ${m[1]}`, `close zip in seam ${m[1]}`],
  ],
  [/^zip(?:per)? (?:in|at|on|along) (?:bottom|base|underneath|underside)$/, 'close zip in the base'],
  [
    /^(?:hook and loop|hook-and-loop|loop tape)(?: tape)?(?: (?:at|on|along))? ?(front|back|left|right)?$/,
    (m) => `close hook and loop ${m[1] ?? ''}`,
  ],
  [/^(?:closes?|closed|shuts?|fastens?|fastened) (?:by |using )?([a-z -]+)$/, (m) => `close ${m[1]}`],
  [/^(?:envelope|slit)(?: back| closing| opening)?$/, 'close lapped slit'],
  [
    /^(?:new )?covers? only$|^only (?:new )?covers?$|^re-?cover(?:ed|ing)?$|^(?:keeps?|reuse) (?:old |own )?(?:foam|filling)s?$/,
    'order cover',
  ],
  [
    /^(?:new |replacement )?(?:foams?|fillings?|inserts?) only$|^only (?:new )?(?:foams?|fillings?|inserts?)$|^(?:keeps?|reuse) (?:old |own )?covers?$/,
    'order filling',
  ],
  [/^(?:not|un)[ -]?matched$|^(?:no|without) match(?:ing)?$/, 'match none'],
  [/^zip(?:s|ped|pers?)?$/, ['close zip gusset', 'close zip seam']],
  [/^zip(?:per)? (?:in|along) ?(?:back )?seam$/, 'close zip seam'],
  [/^(?:zip(?:per)? in )?gusset(?: zip)?$/, 'close zip gusset'],
  [
    /^(?:no zip(?:per)?(?:,? sewn shut)?|without zip(?:per)?|sewn shut|sew(?:n)? (?:it )?(?:up|closed))$/,
    'close sewn shut',
  ],
  [/^(?:no|without) (?:piping|pipe|cord|welt(?:ing)?)$|^(?:unpiped|not piped|plain edges)$/, 'pipe none'],
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
    /^(?:(bias)(?: cut)? )?(?:pip(?:ed|ing)|welt(?:ed|ing)?|pipe)(?: (both|top|bottom))?(?: cord (\d[\d./ ]*(?:mm|in|")?))?(?: (?:cut )?(?:on |in )?(bias|across|along)(?: roll)?)?$/,
    (m) => (m[1] || m[3] || m[4] ? `pipe ${m[2] ?? 'both'} ${m[3] ? `cord ${m[3]} ` : ''}${m[1] ?? m[4] ?? ''}` : []),
  ],
  [/^(\d[\d./ ]*(?:mm|in|")?) (?:piping )?cord$/, (m, c) => `pipe ${pipedNow(c)} cord ${m[1]}`],
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
    /^(\d[\d./ ]*(?:mm|cm|in|"|ft)?) (?:wide|across|in diameter|diameter)$|^wide[: ]+(\d.*)$|^width[: ]+(\d.*)$/,
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
  [new RegExp(`^round(?:ed)? ${CORNERS} corners?(?: (?:by|to))?[: ]+(\\d.*)$`), (m) => `round ${m[2]} ${m[1]}`],
  [new RegExp(`^round(?:ed)? corners? (?:at )?${CORNERS}(?: by)?[: ]+(\\d.*)$`), (m) => `round ${m[2]} ${m[1]}`],
  [new RegExp(`^${CORNERS} corners? (?:round(?:ed)?|radius)(?: by| to)? (\\d.*)$`), (m) => `round ${m[2]} ${m[1]}`],
  [/^cut(?: off)? corners?[: ]+(\d.*)$/, (m) => `cut ${m[1]}`],
  [new RegExp(`^${CORNERS} corners? cut(?: off| out)?(?: by)? (\\d.*)$`), (m) => `cut ${m[2]} ${m[1]}`],
  [new RegExp(`^corners? ${CORNERS} cut(?: off| out)?(?: by)? (\\d.*)$`), (m) => `cut ${m[2]} ${m[1]}`],
  [new RegExp(`^corners? ${CORNERS} (?:round(?:ed)?|radius)(?: by| to)? (\\d.*)$`), (m) => `round ${m[2]} ${m[1]}`],
  [new RegExp(`^cut(?: off| out)?(?: the)? ${CORNERS} corners?(?: by)? (\\d.*)$`), (m) => `cut ${m[2]} ${m[1]}`],
  [new RegExp(`^corners? cut(?: off| out)?(?: by)? (\\d.*) (?:at )?${CORNERS}$`), (m) => `cut ${m[1]} ${m[2]}`],
  [/^corners cut(?: off| out)?(?: by)? (\d[^a-z]*)$/, (m) => `cut ${m[1]}`],
  [new RegExp(`^${SIDE}(?: edge| side)? (?:bowed|curved)(?: by| out)* (\\d.*)$`), (m) => `bow ${m[2]} ${m[1]}`],
  [new RegExp(`^(?:bowed|curved) ${SIDE}(?: edge| side)?(?: by)? (\\d.*)$`), (m) => `bow ${m[2]} ${m[1]}`],
  [/^square corners?$|^no round(?:ed)? corners?$/, 'square'],
  [
    /^(\d+) (?:them|cushions?|pieces|off|seats?|chairs?|pads?)$|^x ?(\d+)$|^(?:how many|count|number|quantity|qty)[: ]+(\d+)$/,
    (m, c) => (c.job?.seat.division.kind === 'run' ? `in ${m[1] ?? m[2] ?? m[3]}` : `times ${m[1] ?? m[2] ?? m[3]}`),
  ],
  [
    /^(?:divide|divided|split|cut)(?: it)?(?: into| in)? (\d+)$|^(\d+) (?:parts|sections|lengths)$/,
    (m) => `in ${m[1] ?? m[2]}`,
  ],
  [/^(?:railroad(?:ed)?|turn cloth|cloth sideways|sideways)$/, 'railroad'],
  [/^(?:up roll|cloth up roll|not railroaded)$/, 'up'],
  [
    /^(?:rotate|turn)(?: (?:fabric|cloth|material))?$/,
    (_, c) => (c.job?.cloth.direction === 'railroaded' ? 'up' : 'railroad'),
  ],
  [
    /^stripes? (?:run(?:ning)? )?(?:(front to back|lengthwise|up and down)|(across|side to side|left to right))$/,
    (m, c) => stripesRunning(m[1] === undefined ? 'across' : 'front-to-back', c),
  ],
  [/^match(?:ed)?(?: (?:stripes?|pattern|checks?))?$|^(?:stripes?|pattern) match(?:ed|ing)?$/, 'match'],
  [/^(?:no match(?:ing)?|(?:do not|don't) match|unmatched)(?: (?:stripes?|pattern))?$/, 'match none'],
  [
    /^(?:(soft|medium|firm|extra firm|hard) foam|foam[: ]+(soft|medium|firm|extra firm|hard)|(softer|firmer)(?: foam)?)$/,
    (m, c) => foamOf(m[1] ?? m[2] ?? m[3] ?? '', c),
  ],
  [
    /^(memory|latex|rebond|quick dry|quick-dry|closed cell|high resilience|hr)(?: foam)?$|^foam (memory|latex|rebond|quick dry|closed cell|hr)$/,
    (m, c) => foamOfFamily(m[1] ?? m[2] ?? '', c),
  ],
  [/^(?:fibre|fiber|feather(?:s)?|loose fibre|loose fiber|fill(?:ed)? fib(?:re|er))(?: fill(?:ing)?)?$/, 'fibre'],
  [/^(?:wrap(?:ped)?(?: in)? )?(?:wrap|wadding|batting)[: ]+(\d.*)$/, (m) => `wadding ${m[1]}`],
  [/^(?:no|without) (?:wadding|wrap|batting)$/, 'wadding none'],
  [/^(?:no|without) liner$/, 'liner none'],
  [/^(?:inner cover|lined|liner)$/, 'liner'],
  [/^(?:no|without) buttons$|^untufted$/, 'buttons none'],
  [/^buttons? (\d+) rows?(?: (\d+))$|^(\d+) rows (\d+) buttons$/, (m) => `buttons ${m[1] ?? m[3]} x ${m[2] ?? m[4]}`],
  [
    /^(?:(\d+) )?(ties|tied|handles|straps)(?: (?:at|on|along))? ?(front|back|left|right)?(?: edge| side)?$/,
    (m) => `${{ straps: 'handles', tied: 'ties' }[m[2]!] ?? m[2]} ${m[1] ?? ''} ${m[3] ?? ''}`,
  ],
  [
    /^(?:1 )?(tie|handle|strap)(?: (?:at|on|along))? ?(front|back|left|right)?$/,
    (m) => `${m[1] === 'tie' ? 'ties' : 'handles'} 1 ${m[2] ?? ''}`,
  ],
  [/^(?:no|without) (ties|handles)$/, (m) => `${m[1]} none`],
  [/^(?:tuft(?:ed|s|ing)?|buttons?)[: ]+(\d+) ?x ?(\d+)$/, (m) => `buttons ${m[1]} x ${m[2]}`],
  [
    /^(?:for |used for |use )?(dining|lounge|sleeping|back|bench|cockpit|kneeler|hassock)(?: use)?$|^for (?:a )?(sofa|bed|boat)$/,
    (m) => `use ${{ sofa: 'lounge', bed: 'sleeping', boat: 'cockpit' }[m[2] ?? ''] ?? m[1]}`,
  ],
  [/^(?:for )?(?:outdoors?|outside|garden|wet)(?: use)?$/, 'lives wet'],
  [/^(?:for )?(?:indoors?|inside)(?: use)?$/, 'lives indoors'],
  [/^damp(?: place)?$/, 'lives damp'],
  [/^due (?:date|on|by) (.+)$|^(?:(?:ready|wanted|needed)(?: by| on)?|by) (.+)$/, (m) => `due ${m[1] ?? m[2]}`],
  [/^(?:in sun|sunny)$/, 'lives sun'],
  [/^(?:gap|space)(?: between)?(?: them)?[: ]+(\d.*)$/, (m) => `gap ${m[1]}`],
  [/^(?:touching|no gap)$/, 'gap 0'],
  [/^(?:squeeze|squeezed)(?: together)?(?: by)?[: ]+(\d.*)$/, (m) => `squeeze ${m[1]}`],
  [/^(?:clearance|free|leave)[: ]+(\d.*?)(?: free| clearance)?$/, (m) => `clearance ${m[1]}`],
  [new RegExp(`^(?:lean|slope|rake)s? ${SIDE}(?: edge| side)?(?: by)? ${ANGLE}$`), (m) => `lean ${m[2]} ${m[1]}`],
  [
    new RegExp(`^${SIDE}(?: edge| side)? (?:leans|slopes|rakes)(?: (?:back|out|by))* ${ANGLE}$`),
    (m) => `lean ${m[2]} ${m[1]}`,
  ],
  [
    /^(\d[\d./ ]*(?:mm|cm|in|")?) (wider|narrower|deeper|shallower|thicker|thinner|longer|shorter)$/,
    (m, c) => byMore(m[2]!, m[1]!, c),
  ],
  [
    /^(wider|narrower|deeper|shallower|thicker|thinner|longer|shorter)(?: by)?[: ]+(\d.*)$/,
    (m, c) => byMore(m[1]!, m[2]!, c),
  ],
  [
    /^(?:add |put |take )?(\d[\d./ ]*(?:mm|cm|in|")?) (?:more )?(?:(to|on)|off|from) ?(width|length|depth|thickness)$/,
    (m, c) => byPart(m[2] === undefined ? 'off' : 'to', m[3]!, m[1]!, c),
  ],
  [/^(?:wall|hinge|hull|open) (?:at|on|along) (.+)$/, (m) => `${m[0].split(' ')[0]} ${m[1]}`],
  [/^(?:backs?|left|right|front) against wall$/, (m) => `wall ${m[0].split(' ')[0]!.replace(/^backs$/, 'back')}`],
  [/^(?:mirror(?:ed)?|other hand|other way round)$/, 'mirror'],
  [
    /^(?:work )?in (inches|in|mm|cm|millimetres|centimetres)$|^(?:use )?(inches|metric|imperial|mm|cm|in)$/,
    (m) => `units ${{ inches: 'in', imperial: 'in', metric: 'mm' }[m[1] ?? m[2] ?? ''] ?? m[1] ?? m[2]}`,
  ],
  [
    new RegExp(`^(?:contrast(?:ing)?|other cloth for|own cloth for) (${PLACE})(?:(?: in| of|:)? (.+))?$`),
    (m) => `cloth ${m[2] ?? ''} for ${m[1]}`,
  ],
  [new RegExp(`^(${PLACE}) (?:(?:in|of|from) )?([a-z].*)$`), (m) => `cloth ${m[2]} for ${m[1]}`],
  [new RegExp(`^([a-z][a-z -]*?) (?:cloth |fabric )?(?:piping|welting|cord)$`), (m) => `cloth ${m[1]} for piping`],
  [/^(?:fabric|material|cover in|covered in|in)[: ]+([a-z ].*)$/, (m) => `cloth ${m[1]}`],
  [
    /^add (?:(\d+) )?(back|bolster|seat)s?(?: cushions?)?$/,
    (m) => `part ${m[2]}s${m[1] === undefined ? '' : `: times ${m[1]}`}`,
  ],
  [/^(back|bolster)s$/, (m) => `part ${m[1]}s`],
  [/^(?:bull ?nose(?:d)?|waterfall)(?: front)?(?: edge)?$/, 'makeup waterfall'],
  [
    /^box(?:ed)? (?:welt|piping|piped)$|^(?:piped|welted) box$/,
    (_, c) => (c.job?.makeUp.construction.kind === 'boxed' ? 'pipe both' : []),
  ],
  [/^(\d[\d./ ]*(?:mm|cm|in|")?) foam$/, (m) => `thickness ${m[1]}`],
]

/** The rows and sides that are piped already; both rows where none is. */
function pipedNow({ job }: TypingContext): string {
  const piping = job?.makeUp.piping
  return piping?.kind === 'corded' ? [piping.rows, ...piping.sides].join(' ') : 'both'
}

/** The way the cloth must lie for its stripes to run so over the seat. */
function stripesRunning(way: 'across' | 'front-to-back', { job }: TypingContext): readonly string[] {
  const pattern = job?.cloth.cloth.pattern
  if (pattern?.kind !== 'stripes') return []
  return [(pattern.runs === 'along') === (way === 'front-to-back') ? 'up' : 'railroad']
}

/** `add 20 to the depth`, `20 off the width`. */
const byPart = (way: 'to' | 'off', name: string, by: string, context: TypingContext): readonly string[] =>
  Object.entries(GROWS).flatMap(([word, [grows, sign]]) =>
    grows === name && sign > 0 === (way === 'to') ? byMore(word, by, context) : [],
  )

const GROWS = {
  wider: ['width', 1],
  narrower: ['width', -1],
  longer: ['length', 1],
  shorter: ['length', -1],
  deeper: ['depth', 1],
  shallower: ['depth', -1],
  thicker: ['thickness', 1],
  thinner: ['thickness', -1],
} as const

/** `wider by 20`: from what it is now. */
function byMore(word: string, by: string, { job }: TypingContext): readonly string[] {
  const [name, sign] = GROWS[word as keyof typeof GROWS]
  const now = job && slotOf(job.seat, spokenSlot(name, job.seat) ?? '')
  const length = job && parseLength(by, job.units)
  return now && length?.ok ? [`${name} ${valueOf(now.dimension) + sign * length.value.mm} mm`] : []
}
