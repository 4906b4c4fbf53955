export { pages } from './pages.ts'
