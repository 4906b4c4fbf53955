/** What went wrong with an archive, in words. */
export class ArchiveFault extends Error {}

export const CUT_OFF =
  'The archive is cut off or damaged. Nothing was changed; copy it once more from where it was saved.'
