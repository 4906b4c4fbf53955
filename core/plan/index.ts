export { planDocument } from './plan-document.ts'
export { planKey } from './plan-key.ts'
export { planJob } from './plan.ts'
