import { phrase } from '../language/index.ts'
import type { PanelLayer } from '../../contract/index.ts'
import { at, boxOf, flatten, type Outline, type Point } from '../outline/index.ts'
import { entered, type Figure } from '../working/index.ts'
import type { Mark, PanelFace } from './panel.ts'
import type { PanelDraft } from './parts/panel-draft.ts'
import { withoutHem } from './without-hem.ts'

/** The pieces that lie behind the panels of a draft, short of every hem by the hem. */
export const layerDrafts = (panels: readonly PanelDraft[], layers: readonly PanelLayer[]): readonly PanelDraft[] =>
  layers.flatMap((layer, n) => {
    const before = layers.slice(0, n).filter((l) => l.kind === layer.kind).length
    const which = before === 0 ? layer.kind : `${layer.kind} ${before + 1}`
    return panels
      .filter((p) => isBehind(p, layer))
      .map((p): PanelDraft => ({
        ...p,
        id: `${p.id}~${which}`,
        behind: p.id,
        name: phrase`${p.name}, ${which}`,
        cloth: layer.kind,
        isSeen: false,
        rule: phrase`${p.rule}; as its panel, short of hems`,
        edges: p.edges.map((e) => withoutHem(e, STOPS)),
        marks: [],
      }))
  })

/** Whether a layer lies behind a panel; trims, linings and inner covers have none. */
export function isBehind(
  { role, face, cloth }: Pick<PanelDraft, 'role' | 'face' | 'cloth'>,
  { behind }: PanelLayer,
): boolean {
  if (role === 'trim' || cloth === 'lining' || cloth === 'liner' || face === 'inside' || face === 'loose') return false
  return facesOf(role, face).some((f) => behind.includes(f))
}

type Behind = PanelLayer['behind'][number]

function facesOf(role: PanelDraft['role'], face: PanelFace): readonly Behind[] {
  if (face === 'top' || face === 'bottom') return [face]
  if (face !== 'round') return ['sides']
  // Boxing and gussets run round the sides alone; blanks and wraps over all.
  return role === 'boxing' || role === 'gusset' || role === 'band' ? ['sides'] : ['top', 'bottom', 'sides']
}

const STOPS: Figure = entered({
  id: 'cover.layerStops',
  label: 'Stops at the fold',
  quantity: 'length',
  value: 0,
  rule: 'a layer is not turned in with the hem',
})

/** Lines of quilting up a panel, evenly, no further apart than asked. */
export function quiltLines({ finished }: Pick<PanelDraft, 'finished'>, spacingMm: number): readonly Mark[] {
  const { minX, maxX } = boxOf(finished)
  const gaps = Math.ceil((maxX - minX) / spacingMm - 1e-9)
  return Array.from({ length: Math.max(0, gaps - 1) }, (_, i) => minX + ((maxX - minX) * (i + 1)) / gaps).flatMap((x) =>
    chordsAt(finished, x).map((path): Mark => ({ kind: 'quilt', label: 'quilting', path })),
  )
}

const FINE_MM = 0.5

/** The stretches of an upright line that lie inside an outline. */
function chordsAt(outline: Outline, x: number): readonly (readonly [Point, Point])[] {
  const polygon = flatten(outline, FINE_MM)
  const ys = polygon
    .flatMap((p, i) => {
      const q = polygon[(i + 1) % polygon.length]!
      return p.x <= x === q.x <= x ? [] : [p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x)]
    })
    .toSorted((a, b) => a - b)
  return Array.from({ length: ys.length >> 1 }, (_, i) => [at(x, ys[2 * i]!), at(x, ys[2 * i + 1]!)] as const)
}
