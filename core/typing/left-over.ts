import { phrase } from '../language/index.ts'
import type { Edit } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { Asked, Typed, TypingContext, TypingFailure } from './failure.ts'
import { inOneOrder } from './one-order.ts'
import { ROW_OF_SIZES } from './said-sizes.ts'
import { readLeaving } from './typing.ts'
import { typingWords } from './words.ts'

/**
 * A line of which some is understood and some is not: asked whether to go on with what is, and to keep the rest as a
 * note on the ticket. Null where nothing is understood, or where what is not may change what the rest means.
 */
export function withLeftOver(line: string, context: TypingContext): Result<Asked, never> | null {
  const left: { readonly words: string; readonly why: TypingFailure }[] = []
  const read = inOneOrder(
    readLeaving(line, context, (words, why) => left.push({ words, why })),
    context,
  )
  const [first] = left
  if (!read.ok || !first || left.some(({ words }) => CHANGES_THE_REST.test(words))) return null
  const typed = withNote(read.value, left.map(({ words }) => words).join(', '))
  if (typed === null) return null
  return ok({
    kind: 'ask',
    why: 'left-over',
    says: phrase`${typingWords(first.why)} Go on without it?`,
    readings: [{ says: typed.kind === 'seat' ? typed.says : typed.edit.says, typed }],
  })
}

/** A shape that is not read, a second cushion, or a word that turns what follows into its opposite. */
const OTHER_SHAPES = 'ring|star|oval|heart|kidney|wedge|wrap(?:ped)?|curved?|taper(?:s|ed|ing)?'
const CHANGES_THE_REST = new RegExp(
  `\\b(?:not?|without|except|but|or|u|v|${OTHER_SHAPES})\\b|\\b(?:penta|hexa|octa|triang|trapez|ellip)|${ROW_OF_SIZES}`,
  'i',
)

function withNote(typed: Typed, words: string): Typed | null {
  const note: Edit = {
    says: phrase`Note: ${words}`,
    apply: (job) => ({ ...job, note: job.note === '' ? words : `${job.note}\n${words}` }),
  }
  switch (typed.kind) {
    case 'seat':
      return { ...typed, also: [...typed.also, note], says: `${typed.says}; ${note.says}` }
    case 'edit':
      return {
        kind: 'edit',
        edit: { says: `${typed.edit.says}; ${note.says}`, apply: (job) => note.apply(typed.edit.apply(job)) },
      }
    case 'parts':
      return null
    default:
      return typed satisfies never
  }
}
