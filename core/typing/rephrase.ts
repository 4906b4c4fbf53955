import type { TypingContext } from './failure.ts'
import { namesIn } from './names-alone.ts'
import { PHRASES } from './phrases.ts'
import { SEATS } from './seat-phrases.ts'

/**
 * The same said as people say it: lines of the grammar that a phrase may stand for, the likeliest first. Nothing is
 * guessed that the grammar itself would not take: a line that stands for nothing gives none.
 */
export function rephrased(line: string, context: TypingContext): readonly string[] {
  const text = plainly(line)
  const seats = SEATS.flatMap((say) => say(text) ?? [])
  const own = PHRASES.flatMap(([pattern, says]) => {
    const found = pattern.exec(text)
    return found ? [typeof says === 'function' ? says(found, context) : says].flat() : []
  })
  return [text, ...seats, ...own, ...namesIn(text, context)].filter((l) => l !== '' && l !== line)
}

const PARTS_OF_AN_INCH: Readonly<Record<string, string>> = { half: '1/2', quarter: '1/4', 'three quarter': '3/4' }
const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']

/** Small letters, `by` and `×` as x, numbers in figures, units as the grammar writes them, no filler words. */
export function plainly(line: string): string {
  return line
    .toLowerCase()
    .replace(/[.!]+$/, '')
    .replace(/^(?:new ticket|new job|begin|start)[: ]+/, '')
    .replace(
      /^(?:please )?(?:change|set|put|give it|move|add(?! (?:a |\d+ |two |one )?(?:back|bolster|seat))|use(?= .*(?:foam|cloth|fabric)))(?: the| a| an| its)? /,
      '',
    )
    .replace(/^(?:replace|renew|redo) (?:the )?(?:foams?|fillings?|inserts?) (?:in|of|for|on) /, 'foam only, ')
    .replace(/^(?:remove|drop|take off)(?: the| its)? /, 'no ')
    .replace(/^([a-z]+)(?: ?[:=] ?| to (?!be\b)(?=\d|[a-z]))/, '$1 ')
    .replace(
      /\b(half|quarter|three quarters?)(?: an?| of an?)? inch(?:es)?\b/g,
      (_, part: string) => `${PARTS_OF_AN_INCH[part.replace(/s$/, '')]} in`,
    )
    .replace(/(\d) in (?=(?:the|a|an|my|our)\b)/g, '$1, ')
    .replace(/(\d) ?(?:ft|') ?(\d+)(?=\s*(?:x|$))/g, '$1 ft $2 in')
    .replace(new RegExp(`^(?:please )?make (\\d+|${NUMBERS.join('|')})(?: of (?:them|these|those))?$`), '$1 them')
    .replace(
      /\b(please|make it|make them|make|set|with|it is|they are|i want|i need|a|an|the|is|of|to be|about)\b/g,
      ' ',
    )
    .replace(/(\d) ?(?:foot|feet)\b/g, '$1 ft')
    .replace(/(\d["']?|in|inch|inches|cm|mm|ft)\s*(?:by|×|\*)\s*(?=\d)/g, '$1 x ')
    .replace(/\b(?:inches|inch)\b/g, 'in')
    .replace(/\bmillimet(?:er|re)s?\b/g, 'mm')
    .replace(/\bcentimet(?:er|re)s?\b/g, 'cm')
    .replace(new RegExp(`\\b(${NUMBERS.join('|')}) (?=\\d\\S* ?x)`, 'g'), '$1 cushions ')
    .replace(new RegExp(`\\b(${NUMBERS.join('|')})\\b`, 'g'), (n) => String(NUMBERS.indexOf(n) + 1))
    .replace(/\bpair\b(?=\s+(?:[a-z]+ )?(?:cushion|seat))/g, '2')
    .replace(/\b(\d+) ?(?:pcs?|pieces?|@|no\.?|nr\.?) ?(?=\d)/g, '$1 cushions ')
    .replace(/\bdozen\b/g, '12')
    .replace(/\s+/g, ' ')
    .trim()
}
