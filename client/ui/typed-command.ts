import type { Station } from '../../core/warning/index.ts'

/** What a page does rather than the job: help, a step back, another page. */
export type Command = 'help' | 'undo' | 'redo' | 'shelf' | { readonly station: Station }

const PLAIN: Readonly<Record<string, Command>> = {
  '?': 'help',
  help: 'help',
  undo: 'undo',
  redo: 'redo',
  'new ticket': 'shelf',
  'new job': 'shelf',
  shelf: 'shelf',
}

/** What people call the stations, and what they ask that a station answers. */
const STATIONS: readonly (readonly [Station, RegExp])[] = [
  ['measure', /^(?:measure|measurements|tape)$/],
  ['filling', /^(?:filling|sitter|nest)$/],
  ['make-up', /^(?:make-up|how it is made)$/],
  ['pieces', /^(?:pieces|panels|patterns?)$/],
  ['lay', /^(?:lay|lay plan|cutting plan|how much (?:cloth|fabric)|how many (?:metres|yards))$/],
  ['lists', /^(?:lists?|cut list|cutting list|buying list|shopping list|cut (?:&|and) buy|what to buy|labels)$/],
  ['make', /^(?:make|work order|steps)$/],
  ['fit', /^(?:fit|fitting|photos)$/],
  ['bill', /^(?:bill|quote|price|cost|invoice|how much(?: (?:is it|does it cost))?)$/],
]

/** The command in a typed line, if it is one. Stations are there only while a job is open. */
export function commandIn(line: string, isJobOpen: boolean): Command | null {
  const text = line.trim().toLowerCase()
  const plain = Object.hasOwn(PLAIN, text) ? PLAIN[text] : undefined
  if (plain !== undefined) return plain
  if (!isJobOpen) return null
  const asked = text.replace(/^(?:go to|open|show|see) (?:me )?(?:the )?/, '').replace(/ ?\?+$/, '')
  const [station] = STATIONS.find(([, words]) => words.test(asked)) ?? []
  return station ? { station } : null
}
