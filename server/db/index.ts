export { backupFolderOf, openDatabase, type Database } from './database.ts'
export { access, cloths, foamStock, grades, jobRevisions, jobs, photos, shop, stockMoves, trims } from './tables.ts'
