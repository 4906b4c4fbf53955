import type { Job } from '../../contract/index.ts'

type Lays = Job['lays']
type Kept = Lays[string]

/**
 * Kept lays of two versions put together, each whole. Of two that the planner found for the same pieces the shorter
 * stays, and one that somebody made by hand or cut with others before one that the planner found; two of those are for
 * the maker to choose.
 */
export function mergeLays(
  base: Lays,
  mine: Lays,
  theirs: Lays,
): { readonly lays: Lays; readonly clashes: readonly string[] } {
  const clashes: string[] = []
  const lays = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])].flatMap((id): [string, Kept][] => {
    const [was, own, other] = [base[id], mine[id], theirs[id]].map((kept) => JSON.stringify(kept))
    const kept = was === own ? theirs[id] : was === other ? mine[id] : ofBoth(mine[id], theirs[id])
    if (kept === 'asked') clashes.push(`lays.${id}`)
    const stays = kept === 'asked' ? theirs[id] : kept
    return stays ? [[id, stays]] : []
  })
  return { lays: Object.fromEntries(lays), clashes }
}

function ofBoth(mine: Kept | undefined, theirs: Kept | undefined): Kept | 'asked' | undefined {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return theirs
  if (!mine || !theirs) return isChosen(mine ?? theirs) ? 'asked' : (mine ?? theirs)
  if (isChosen(mine) !== isChosen(theirs)) return isChosen(mine) ? mine : theirs
  if (isChosen(mine)) return 'asked'
  return mine.problemKey === theirs.problemKey && mine.lay.length < theirs.lay.length ? mine : theirs
}

const isChosen = (kept: Kept | undefined): boolean => kept !== undefined && (kept.byHand || kept.joint !== null)
