import type { Construction } from '../../../contract/index.ts'
import { err, type Result } from '../../result/index.ts'
import type { CoverDraft } from '../cover.ts'
import type { Recipe, RecipeInput } from '../recipe.ts'
import type { Refusal } from '../refusal.ts'
import { CLOSURES, MAKE_UPS } from '../usual.ts'
import { bolster } from './bolster.ts'
import { boxed } from './boxed.ts'
import { capped } from './capped.ts'
import { cube } from './cube/index.ts'
import { hingedPair } from './hinged-pair.ts'
import { knifeEdge } from './knife-edge.ts'
import { lapClosed } from './lap-closed.ts'
import { liner } from './liner.ts'
import { noSewWrap } from './no-sew-wrap.ts'
import { pinchCorner } from './pinch-corner.ts'
import { pullOver } from './pull-over.ts'
import { rolledEdge } from './rolled-edge.ts'
import { slitBack } from './slit-back.ts'
import { waterfall } from './waterfall/index.ts'
import { wrappedTube } from './wrapped-tube.ts'

/** The table of make-ups: a new one is one file, one line here, one in the contract, and one in `usual.ts`. */
const RECIPES: { readonly [K in Construction['kind']]: Recipe<K> } = {
  boxed,
  'lap-closed': lapClosed,
  'slit-back': slitBack,
  'knife-edge': knifeEdge,
  waterfall,
  'wrapped-tube': wrappedTube,
  capped,
  'pinch-corner': pinchCorner,
  'rolled-edge': rolledEdge,
  'pull-over': pullOver,
  'hinged-pair': hingedPair,
  'no-sew-wrap': noSewWrap,
  cube,
  bolster,
  liner,
}

/** Panels and seams of a make-up on a cushion, or why it cannot take that make-up. */
export function buildDraft(input: RecipeInput): Result<CoverDraft, Refusal> {
  const { construction, closure } = input
  if (!MAKE_UPS[construction.kind].closures.includes(closure.kind))
    return err({
      construction: construction.kind,
      reason: { code: 'closure-unfit', closure: CLOSURES[closure.kind].label.toLowerCase() },
      nearest: null,
    })
  const recipe = RECIPES[construction.kind] as Recipe
  return recipe(input)
}

export { linerShapeFor } from './liner.ts'
