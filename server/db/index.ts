export { openDatabase, type Database } from './database.ts'
export { cloths, foamStock, grades, jobRevisions, jobs, shop } from './tables.ts'
