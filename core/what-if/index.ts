export { clothCost, layChoices, SOLD_WIDTHS_MM, type LayChoice, type Varied } from './lay-choices.ts'
export { NARROW_MM, RESCUES, tryRescue, type Attempt, type Rescue } from './remnant.ts'
export { inHandOf, shortfallOf, type InHand } from './shortfall.ts'
export { cutTogether, jointShares, problemKey, takenBy, wholeLay, type JointTicket } from './joint-lay.ts'
