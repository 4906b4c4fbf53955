import { edgeLength, stretchOf, type Vertex } from '../../outline/index.ts'
import type { Figure } from '../../working/index.ts'
import type { CoverDraft } from '../cover.ts'
import { partnerPlace, type SeamDraft, type SeamPair, type Stretch } from '../seam.ts'
import type { EdgeDraft, PanelDraft } from './panel-draft.ts'

type Sewn = Pick<CoverDraft, 'panels' | 'seams' | 'rows'>

/**
 * Gives the stretches that a zip is sewn to an allowance of their own on both sides, as far from the tape's edge as its
 * stitching. Where the zip takes only a part of an edge, that part becomes an edge of its own, so that the cut
 * steps at both its ends; every seam is told anew on the edges there are then.
 */
export function withZipEdges<T extends Sewn>(draft: T, zip: SeamDraft, tape: Figure): T & { readonly zip: SeamDraft } {
  const sewn = zip.pairs.flatMap(({ a, b }) => [a, b])
  const divided = new Map(
    draft.panels.map((panel) => [
      panel.id,
      divide(
        panel,
        sewn.filter((s) => s.panel === panel.id),
        tape,
      ),
    ]),
  )
  const retold = (pairs: readonly SeamPair[]) => pairs.flatMap((pair) => retell(pair, divided))
  const seams = draft.seams.map((seam) => ({ ...seam, pairs: retold(seam.pairs) }))
  return {
    ...draft,
    panels: draft.panels.map((p) => divided.get(p.id)!.panel),
    seams,
    rows: draft.rows.map((row) => ({ ...row, pairs: retold(row.pairs) })),
    zip: seams[draft.seams.indexOf(zip)]!,
  }
}

/** A piece of an edge, from and to along the whole of it. */
interface Piece {
  readonly name: string
  readonly from: number
  readonly to: number
}

interface Divided {
  readonly panel: PanelDraft
  /** The pieces of each edge that was divided, by its name. */
  readonly pieces: ReadonlyMap<string, readonly Piece[]>
}

const HAIR_MM = 1e-6

function divide(panel: PanelDraft, zips: readonly Stretch[], tape: Figure): Divided {
  const pieces = new Map<string, readonly Piece[]>()
  if (zips.length === 0) return { panel, pieces }
  const finished: Vertex[] = []
  const edges: EdgeDraft[] = []
  panel.edges.forEach((edge, i) => {
    const length = edgeLength(panel.finished, i)
    const own = zips
      .filter((z) => z.edge === edge.name)
      .map((z) => [Math.min(z.from, z.to), Math.max(z.from, z.to)] as const)
    const cuts = [...new Set([0, ...own.flat().filter((c) => c > HAIR_MM && c < length - HAIR_MM), length])].toSorted(
      (a, b) => a - b,
    )
    const parts = cuts
      .slice(1)
      .map((to, k) => ({
        from: cuts[k]!,
        to,
        isZip: own.some(([low, high]) => low < (cuts[k]! + to) / 2 && high > (cuts[k]! + to) / 2),
      }))
      .reduce<Part[]>(joined, [])
    const names = namesOf(edge.name, parts)
    parts.forEach(({ from, to, isZip }, k) => {
      finished.push(parts.length === 1 ? panel.finished[i]! : stretchOf(panel.finished, i, from / length, to / length))
      edges.push({ ...edge, name: names[k]!, ...(isZip ? { treatment: 'zip' as const, allowances: [tape] } : {}) })
    })
    if (parts.length > 1)
      pieces.set(
        edge.name,
        parts.map(({ from, to }, k) => ({ name: names[k]!, from, to })),
      )
  })
  return { panel: { ...panel, finished, edges }, pieces }
}

/** A part of an edge, by whether a zip is sewn to it. */
interface Part {
  readonly from: number
  readonly to: number
  readonly isZip: boolean
}

/** Parts of one kind that follow each other are one. */
function joined(parts: Part[], part: Part): Part[] {
  const last = parts.at(-1)
  return last?.isZip === part.isZip ? [...parts.slice(0, -1), { ...last, to: part.to }] : [...parts, part]
}

/** What is left of the edge keeps its name; the zip's part says so. */
function namesOf(name: string, parts: readonly Part[]): readonly string[] {
  if (parts.length === 1) return [name]
  const nth = (i: number) => parts.slice(0, i).filter((p) => p.isZip === parts[i]!.isZip).length + 1
  return parts.map(({ isZip }, i) =>
    isZip ? `${name}, zip${nth(i) > 1 ? ` ${nth(i)}` : ''}` : nth(i) === 1 ? name : `${name}, part ${nth(i)}`,
  )
}

/** A pair on the pieces that its two stretches run over. */
function retell({ a, b }: SeamPair, divided: ReadonlyMap<string, Divided>): readonly SeamPair[] {
  const piecesOf = (s: Stretch) => divided.get(s.panel)?.pieces.get(s.edge)
  const within = (s: Stretch) =>
    (piecesOf(s) ?? [])
      .flatMap((p) => [p.from, p.to])
      .filter((c) => c > Math.min(s.from, s.to) + HAIR_MM && c < Math.max(s.from, s.to) - HAIR_MM)
  const cuts = [...within(a), ...within(b).map((c) => partnerPlace(b, a, c))]
  const ends = [a.from, ...[...new Set(cuts)].toSorted((p, q) => (a.from <= a.to ? p - q : q - p)), a.to]
  return ends.slice(1).flatMap((to, k): SeamPair[] => {
    const from = ends[k]!
    if (Math.abs(to - from) < HAIR_MM) return []
    return [
      {
        a: onPiece({ ...a, from, to }, piecesOf(a)),
        b: onPiece({ ...b, from: partnerPlace(a, b, from), to: partnerPlace(a, b, to) }, piecesOf(b)),
      },
    ]
  })
}

function onPiece(s: Stretch, pieces: readonly Piece[] | undefined): Stretch {
  const middle = (s.from + s.to) / 2
  const piece = pieces?.find((p) => middle > p.from && middle < p.to)
  return piece ? { ...s, edge: piece.name, from: s.from - piece.from, to: s.to - piece.from } : s
}
