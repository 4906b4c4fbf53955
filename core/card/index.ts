export { jobCard } from './job-card.ts'
export { isOpen, jobToPlan } from './to-plan.ts'
