import { phrase } from '../language/index.ts'
import type { ClothRole } from '../../contract/index.ts'
import { setCloth, setMakeUp, setOtherCloth, USUAL_PIPING } from '../job/index.ts'
import { chain, edit, fail, type Answer, type OpenJob } from './failure.ts'
import { findNamed } from './find-named.ts'

/** What people call the places of a cover that may be of another cloth. */
const PLACES = {
  piping: 'piping',
  welting: 'piping',
  welt: 'piping',
  cord: 'piping',
  boxing: 'boxing',
  border: 'boxing',
  sides: 'boxing',
  bottom: 'second-face',
  underside: 'second-face',
  base: 'base',
  lining: 'lining',
} as const satisfies Readonly<Record<string, Exclude<ClothRole, 'face'>>>
type Place = keyof typeof PLACES

export const PLACE = Object.keys(PLACES).join('|')
const FOR_A_PLACE = new RegExp(`^(.*?)\\s*\\bfor (?:the )?(${PLACE})$`, 'i')

/** `cloth storm canvas`, `cloth storm canvas for piping`: piping of its own cloth is sewn in where there was none. */
export function readCloth(rest: string, { cloths, job }: OpenJob): Answer {
  const [, name = rest, place] = FOR_A_PLACE.exec(rest.trim()) ?? []
  const lineFor = (named: string) => `cloth ${named}${place === undefined ? '' : ` for ${place}`}`
  if (place !== undefined && name === '') {
    const found = cloths.map((cloth) => cloth.name)
    return fail({ code: 'which', what: 'cloth', text: '', found, lines: found.map(lineFor) })
  }
  return chain(findNamed('cloth', name, cloths, lineFor), (cloth) => {
    if (place === undefined) return edit(setCloth(cloth))
    const role = PLACES[place.toLowerCase() as Place]
    const other = setOtherCloth(role, cloth, phrase`${cloth.name} for the ${place.toLowerCase()}`)
    if (role !== 'piping' || job.makeUp.piping.kind === 'corded') return edit(other)
    const piped = setMakeUp('', (makeUp) => ({ ...makeUp, piping: USUAL_PIPING }))
    return edit({ says: other.says, apply: (part) => other.apply(piped.apply(part)) })
  })
}
