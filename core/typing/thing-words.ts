/** What people call a cushion, and what they say it is like. */

/** What says of a cushion whose it is or what it is like, before the word for it. */
const LIKE = [
  'loose',
  'box',
  'boxed',
  'seat',
  'square',
  'dining',
  'kitchen',
  'lounge',
  'chair',
  'arm',
  'back',
  'sofa',
  'settee',
  'settle',
  'bench',
  'window',
  'boat',
  'berth',
  'bunk',
  'cockpit',
  'caravan',
  'camper',
  'garden',
  'patio',
  'pallet',
  'church',
  'pew',
  'dog',
  'cat',
  'floor',
  'foot',
  'day',
  'scatter',
  'throw',
  'headboard',
  'deck',
  'bar',
  'banquette',
].join('|')
const NOUNS = [
  'cushions?',
  'seats?',
  'pads?',
  'backs?',
  'chairs?',
  'mattress(?:es)?',
  'kneelers?',
  'squabs?',
  'stools?',
  'footstools?',
  'hassocks?',
  'toppers?',
  'beds?',
  'sofas?',
  'box(?:es)?',
  'berths?',
  'bunks?',
  'squares?',
  'rectangles?',
  'headboards?',
  'scatters?',
  'benches',
  'settees?',
  'loungers?',
  'day ?beds?',
  'chaises?',
].join('|')
export const THING = `(?:(?:${LIKE}) )*(?:${NOUNS})`
export const ROUND_WORD = '(?:round|circular|circles?|discs?)'
export const ROUND_THING = '(?: (?:stools?|seats?|cushions?|pads?|hassocks?|chairs?))?'
export const CORNER_BENCH = '(?:l[ -]shaped?|corner)(?: (?:bench|seat|sofa|settee|banquette))?'
/** Narrower at one end, as where a bay window takes it in. */
export const TAPERING = '(?:bay|trapezium|trapezoid(?:al)?|taper(?:ed|ing)?)'
/** Long, and divided. */
export const BENCH =
  '(?:(?:window|long|church|garden) )*(?:bench(?: seat| cushion)?|window seat(?: cushion)?|settle|pew(?: cushion)?|banquette)'
