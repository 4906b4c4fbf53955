export { jobCard, plainCard, unreadableCard } from './job-card.ts'
export { isOpen, jobToPlan } from './to-plan.ts'
