import { listed, phrase } from '../../language/index.ts'
import { stripRuns, type PipingStrips } from '../../cloth/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import { toCut } from '../../units/index.ts'
import type { OrderOf } from './order-of.ts'

/** The strips of each run in the order in which they are joined, and where round the plate their joins come to lie. */
export function pipingWords(of: OrderOf, design: DesignPlan): readonly string[] {
  const strips = of.plan.cloth.strips[of.plan.sewn.indexOf(design)] ?? []
  return [
    ...strips.flatMap((own) => wordsOf(of, own)),
    ...(strips.some((own) => own.split.joinsMm.length > 0)
      ? ['Joins are measured from the middle of the back, against the clock as seen from above.']
      : []),
  ]
}

function wordsOf({ job, say }: OrderOf, own: PipingStrips): readonly string[] {
  const { lengths, joinsMm } = own.split
  const strips = listed(lengths.map((l) => say(toCut(l.value, job.units))))
  const places = listed(joinsMm.map((mm) => say(toCut(mm, job.units))))
  const runs = stripRuns(own)
  if (joinsMm.length === 0)
    return lengths.length === 1 ? [] : [phrase`For ${runs}: strips of ${strips}, in this order.`]
  return [
    lengths.length === 1
      ? phrase`For ${runs}: one strip of ${strips}; its ends meet at ${places}.`
      : phrase`For ${runs}: strips of ${strips}, in this order; joins at ${places}.`,
  ]
}
