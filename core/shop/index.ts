export { keepersBench } from './demo-job.ts'
export { DEMO_CLOTHS } from './demo-cloths.ts'
export { DEMO_GRADES } from './demo-grades.ts'
export { FACTORY_BOOK } from './factory-book.ts'
