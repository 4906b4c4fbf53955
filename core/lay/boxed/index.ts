export { boxedSearch, mayBeBoxed } from './boxed-search.ts'
