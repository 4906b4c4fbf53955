export { planDocument } from './plan-document.ts'
export { planJob } from './plan.ts'
