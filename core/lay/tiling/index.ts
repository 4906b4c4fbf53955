export { mayTile, tilePolygons } from './polygon-tiling.ts'
