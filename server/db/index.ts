export { openDatabase, type Database } from './database.ts'
export { cloths, grades, jobRevisions, jobs, shop } from './tables.ts'
