import type { Workshop } from '../../contract/index.ts'

const WEEK = (hours: number) => [hours, hours, hours, hours, hours, 0, 0]

/** How a workshop starts: two people, five days, rates of the trade. Minutes for each unit of work. */
export const USUAL_WORKSHOP: Workshop = {
  calendar: { startsAt: 8, hours: { table: WEEK(4), machine: WEEK(7), bench: WEEK(7) }, holidays: [], leadDays: { foam: 5, cloth: 7 }, cureHours: 12 },
  rates: { prepare: 15, mark: 2, 'cut-cloth': 1.5, label: 0.5, 'cut-foam': 3, glue: 10, wrap: 6, piping: 2, join: 3, zip: 10, hem: 2.5, plate: 4, corner: 1.5, finish: 1, turn: 3, fill: 6, close: 3, button: 4, tie: 3, staple: 4, check: 2, fit: 5 },
  charges: { hourRate: 38, markUpShare: 0.25, wasteShare: 0.05, taxShare: 0.2, depositShare: 0.5, roundTo: 0.5 },
  machineCards: [
    { name: 'Light cloth indoors', upToGM2: 220, upToMm: 0.5, outdoors: false, thread: 'polyester, 40 tex', needle: '90', stitchMm: 3, topStitchMm: 4, foot: 'standard; piping foot for cord' },
    { name: 'Furnishing cloth', upToGM2: 450, upToMm: 1.2, outdoors: false, thread: 'bonded polyester, 70 tex', needle: '100', stitchMm: 3.5, topStitchMm: 5, foot: 'walking; piping foot for cord' },
    { name: 'Heavy cloth', upToGM2: 5000, upToMm: 20, outdoors: false, thread: 'bonded polyester, 90 tex', needle: '110', stitchMm: 4, topStitchMm: 6, foot: 'walking' },
    { name: 'Canvas and vinyl, outdoors', upToGM2: 5000, upToMm: 20, outdoors: true, thread: 'bonded polyester for the sun, 90 tex', needle: '110', stitchMm: 4.5, topStitchMm: 6, foot: 'walking; smooth foot on vinyl' },
  ],
  learned: [],
}
