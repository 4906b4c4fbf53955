export { axesOf, bandCentre, bandsOf, bandsWidth, colourAt, mirrorAxes, modulo, patternStart, repeatOf, usualMatch, wayOf, type PatternWay, type Way } from './stripes.ts'
export { beforeWash, washed, washedChoice } from './washed.ts'
