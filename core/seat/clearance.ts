/** What is usually left free at each wall, hinge or hull: aboard, foam swells with damp and goes in past frames. */
export const USUAL_CLEARANCE_MM = { indoors: 3, aboard: 6 } as const
