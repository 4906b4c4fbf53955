type Document = Record<string, unknown>

/**
 * Brings a job document of an older version to the present one, step by step. What does not look
 * like the old format is handed on as it is, for the schema to name the fault.
 */
export function migrateJob(document: Document): Document {
  const second = document['version'] === 1 ? { ...document, version: 2, seat: shapedSeat(document['seat']) } : document
  const third =
    second['version'] === 2 ? { ...second, version: 3, filling: judgedFilling(second['filling'], second) } : second
  const fourth = third['version'] === 3 ? manyMakeUps(third) : third
  const fifth = fourth['version'] === 4 ? anyPattern(fourth) : fourth
  return fifth['version'] === 5 ? withWork(fifth) : fifth
}

/** Version 5 ended at the cut list: nothing was made, fitted or agreed. */
const withWork = ({ allowances, cloth, ...others }: Document): Document => ({
  ...others,
  version: 6,
  cloth: isDocument(cloth) ? { stripJoins: 0, ...cloth } : cloth,
  allowances: isDocument(allowances) ? { learned: null, ...allowances } : allowances,
  making: { steps: {}, papers: {}, stockTakenOn: null },
  fitting: { fits: {}, clothUsedMm: {}, lesson: '', photos: [], followUps: [] },
  terms: ASKED,
})

const ASKED = {
  stage: 'asked',
  archivedOn: null,
  orderedOn: null,
  dueOn: null,
  notBefore: null,
  furniture: '',
  charges: {},
  extras: [],
  given: null,
}

/** Version 3 knew one make-up, boxed with a zip in a gusset, one cloth and one lay. */
function manyMakeUps({ makeUp, cloth, allowances, lay, ...others }: Document): Document {
  const part = (value: unknown): Document | null =>
    typeof value === 'object' && value !== null ? (value as Document) : null
  const [boxed, choice, own, kept] = [part(makeUp), part(cloth), part(allowances), part(lay)]
  const piping = part(boxed?.['piping'])
  const newCloth = choice && migrateCloth(choice['cloth'])
  return {
    ...others,
    version: 4,
    makeUp: boxed && {
      construction: { kind: boxed['kind'], boxing: boxed['boxing'] },
      closure: ZIP_GUSSET,
      piping:
        piping?.['rows'] === 'none'
          ? { kind: 'none' }
          : piping && { kind: 'corded', ...piping, sides: ALL_SIDES, clothMm: 0, stripMm: null },
      trims: NO_TRIMS,
      liner: null,
    },
    cloth: choice && { ...choice, cloth: newCloth, others: {} },
    allowances: own && { ...own, book: migrateBook(own['book']), edges: {} },
    // The pieces have other keys now: a lay of before would never count.
    lays: lay === null || kept ? {} : lay,
  }
}

/** Version 4 knew plain cloth and stripes along the roll, always to be bought. */
function anyPattern({ cloth, lays, ...rest }: Document): Document {
  const others = {
    ...rest,
    lays: isDocument(lays)
      ? Object.fromEntries(
          Object.entries(lays).map(([id, kept]) => [
            id,
            isDocument(kept) ? { byHand: false, locked: [], ...kept } : kept,
          ]),
        )
      : lays,
  }
  if (!isDocument(cloth)) return { ...others, version: 5, cloth }
  const own = isDocument(cloth['others'])
    ? Object.fromEntries(Object.entries(cloth['others']).map(([role, c]) => [role, migrateCloth(c)]))
    : cloth['others']
  return {
    ...others,
    version: 5,
    cloth: {
      alongRule: 'front-edges-alike',
      pairs: 'goes-on-under',
      ...cloth,
      cloth: migrateCloth(cloth['cloth']),
      others: own,
    },
  }
}

const ALL_SIDES = ['front', 'right', 'back', 'left']
const ZIP_GUSSET = { kind: 'zip-gusset', side: 'back', lapped: false, pocketMm: 0 }
const NO_TRIMS = {
  ties: null,
  handles: null,
  vents: null,
  grip: { kind: 'none' },
  buttons: null,
  finishing: 'overlocked-together',
  trimReserveMm: 0,
}

const isDocument = (value: unknown): value is Document => typeof value === 'object' && value !== null

/** A cloth of the time before its stretch, shrinkage and fibre, or its supply and flaws, were known. */
export function migrateCloth(cloth: unknown): unknown {
  if (!isDocument(cloth)) return cloth
  const known =
    'fibre' in cloth
      ? cloth
      : {
          ...cloth,
          thicknessMm: 0.6,
          stretch: { across: 0, along: 0 },
          shrink: { across: 0, along: 0 },
          washFirst: false,
          fibre: 'mixed',
          marking: 'notches',
        }
  if ('supply' in known) return known
  const { pattern } = known as Document
  return {
    ...known,
    pattern: isDocument(pattern) && pattern['kind'] === 'stripes' ? { runs: 'along', ...pattern } : pattern,
    massGM2: 300,
    use: 'indoors',
    reversible: false,
    supply: { kind: 'to-buy' },
    flaws: [],
  }
}

/** An allowance book of the time before laps and open piping. */
export const migrateBook = (book: unknown): unknown =>
  !isDocument(book) || 'tapeMarginMm' in book ? book : { ...book, pipingRunOffMm: 40, tapeMarginMm: 6 }

/**
 * Shop settings hold a book; schools were kept later, hours, rates and charges later still: those start as `workshop`.
 */
export const migrateSettings = (settings: unknown, workshop: unknown): unknown =>
  isDocument(settings)
    ? {
        address: '',
        taxNumber: '',
        locale: '',
        paper: 'A4',
        schools: [],
        workshop,
        ...settings,
        book: migrateBook(settings['book']),
      }
    : settings

/** A grade of the time before its curve was known: one force at 40 %, one support factor. */
export function migrateGrade(grade: unknown): unknown {
  if (typeof grade !== 'object' || grade === null || !('hardnessN' in grade)) return grade
  const { hardnessN, supportFactor, ...others } = grade as Document
  return {
    ...others,
    at25N: null,
    at40N: hardnessN,
    at65N: null,
    supportFactor: typeof supportFactor === 'number' ? Math.max(1.2, supportFactor) : supportFactor,
    exposures: EXPOSURES[String(others['family'])] ?? ['indoors'],
    combustionModified: false,
    ageing: null,
  }
}

/** Where the families could be used when version 2 was written. */
const EXPOSURES: Readonly<Record<string, readonly string[]>> = {
  conventional: ['indoors', 'sun', 'damp'],
  'high-resilience': ['indoors', 'sun', 'damp'],
  memory: ['indoors', 'sun'],
  latex: ['indoors', 'damp'],
  'quick-dry': ['indoors', 'sun', 'damp', 'wet'],
  'closed-cell': ['indoors', 'sun', 'damp', 'wet'],
  rebond: ['indoors', 'sun'],
}

const LOAD = { use: 'bench', exposure: 'indoors', base: 'board', lightestKg: 50, heaviestKg: 100, own: {} }
const CUTTING = {
  tool: 'electric-knife',
  trimMm: 10,
  joint: 'butt',
  supply: 'sheets',
  glueGM2: 90,
  film: false,
  stock: [],
  nest: null,
}
const WRAP = { top: true, bottom: true, front: true, back: true, ends: 'bare', layers: 1, measured: null }

/** Version 2 knew one grade and wadding as a part of two schools; nobody had said what the seat carries. */
function judgedFilling(filling: unknown, { seat }: Document): unknown {
  if (typeof filling !== 'object' || filling === null) return filling
  const { grade, school, ...unknown } = filling as Document
  const exposure =
    typeof seat === 'object' && seat !== null && JSON.stringify(seat).includes('"hull"') ? 'damp' : 'indoors'
  return {
    ...unknown,
    kind: 'foam',
    load: { ...LOAD, exposure },
    boardMm: { now: 0, before: 0 },
    layers: [{ grade: migrateGrade(grade), thicknessMm: null }],
    limits: null,
    ...parted(school),
    cutting: CUTTING,
    test: null,
    old: null,
  }
}

/** The wadding of a version 2 school, apart from the school. */
function parted(school: unknown): Document {
  if (typeof school !== 'object' || school === null) return { school, wadding: null }
  const { loftMm, layers, ends, measured, ...bare } = school as Document
  if (bare['kind'] === 'wrap-then-measure')
    return { school: bare, wadding: { ...WRAP, loftMm, layers, ends: ends === true ? 'covered' : 'bare', measured } }
  return bare['kind'] === 'thinner-block' ? { school: bare, wadding: { ...WRAP, loftMm } } : { school, wadding: null }
}

const SIDES = ['near', 'right', 'far', 'left'] as const

/** Version 1 knew rectangles alone: a bench in so many, or single cushions. */
function shapedSeat(seat: unknown): unknown {
  if (typeof seat !== 'object' || seat === null) return seat
  const { kind, width, depth, thickness, front, roles, clearanceMm, count, gapMm, ...unknown } = seat as Document
  const meets = typeof roles === 'object' && roles !== null ? (roles as Document) : {}
  return {
    ...unknown,
    footprint: { kind: 'rectangle', width, depth, rising: null, falling: null },
    thickness,
    edges: Object.fromEntries(
      SIDES.filter((side) => meets[side] !== 'open').map((side) => [
        side,
        { meets: meets[side], lean: null, riseMm: 0 },
      ]),
    ),
    corners: {},
    front,
    turnDeg: 0,
    mirrored: false,
    clearanceMm,
    division:
      kind === 'bench' ? { kind: 'run', count, gapMm, cuts: 'straight' } : { kind: 'singles', count, mirrored: 0 },
    old: { measured: null, label: null },
  }
}
