export { causeOf, type Cause } from './cause.ts'
export { openDatabase, type Database } from './database.ts'
export { soleOwner } from './sole-owner.ts'
export { backupFolderOf } from './start-checks.ts'
export {
  access,
  cloths,
  foamStock,
  grades,
  jobRevisions,
  jobs,
  photos,
  pulse,
  revisionFloors,
  setAside,
  shop,
  stockMoves,
  trims,
} from './tables.ts'
