export { FACTORY_BOOK } from './factory-book.ts'
export { USUAL_WORKSHOP } from './usual-workshop.ts'
