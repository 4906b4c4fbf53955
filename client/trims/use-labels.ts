import type { TrimUse } from '../../contract/index.ts'

/** What a trim is for, in words. */
export const USE_LABELS: Readonly<Record<TrimUse, string>> = {
  zip: 'zip',
  slider: 'slider',
  cord: 'cord',
  'ready-made-piping': 'ready made piping',
  thread: 'thread',
  'foam-glue': 'foam glue',
  wadding: 'wadding',
  film: 'film',
  tape: 'tape',
  snaps: 'snaps',
  buttons: 'buttons',
  'closing-ties': 'closing ties',
  eyelets: 'eyelets',
  'lacing-cord': 'lacing cord',
  rings: 'rings',
  vents: 'vents',
  'non-slip': 'non-slip',
  staples: 'staples',
  twine: 'twine',
  other: 'other',
}
