export { dayName, dayNumber, weekdayOf, weekFrom } from './days.ts'
export { MINUTES_A_DAY } from './free-time.ts'
export {
  planCalendar,
  RESOURCES,
  startedOn,
  type JobToPlan,
  type PlannedJob,
  type PlannedTask,
  type Task,
} from './plan-calendar.ts'
