import { isDocument, type Document } from './document.ts'

/** Version 5 ended at the cut list: nothing was made, fitted or agreed. */
export const withWork = ({ allowances, cloth, ...others }: Document): Document => ({
  ...others,
  version: 6,
  cloth: isDocument(cloth) ? { stripJoins: 0, ...cloth } : cloth,
  allowances: isDocument(allowances) ? { learned: null, ...allowances } : allowances,
  making: { steps: {}, papers: {}, stockTakenOn: null },
  fitting: { fits: {}, clothUsedMm: {}, lesson: '', photos: [], followUps: [] },
  terms: ASKED,
})

const ASKED = {
  stage: 'asked',
  archivedOn: null,
  orderedOn: null,
  dueOn: null,
  notBefore: null,
  furniture: '',
  charges: {},
  extras: [],
  given: null,
}
