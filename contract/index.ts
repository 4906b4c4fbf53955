export {
  ChangeOf,
  CreateJob,
  JobSummary,
  LONGEST_REASON,
  Problem,
  RevisionSummary,
  SaveJob,
  ShopEvent,
  StoredJob,
  type Change,
} from './api.ts'
export { CARD_VERSION, JobCard } from './card.ts'
export {
  Cutting,
  FibreFilling,
  Filling,
  FoamFilling,
  FoamTest,
  FILL_KG_M3,
  InsertFilling,
  Layer,
  Load,
  SizingSchool,
  Trial,
  Use,
  Wadding,
} from './filling.ts'
export { Ageing, Exposure, FoamFamily, FoamStock, Grade } from './foam.ts'
export {
  Job,
  JOB_FORMAT,
  JOB_VERSION,
  type JointCut,
  MOST_JOINT_TICKETS,
  type ClothChoice,
  type PartJob,
  type PlannedPart,
  type TicketCloth,
} from './job.ts'
export {
  ClothRole,
  Follows,
  MOST_BACK_LEAN_DEG,
  MOST_PARTS,
  Part,
  type PartCloth,
  PartLetter,
  type PipingSplit,
  PlacementRule,
  Pose,
} from './part.ts'
export { cushionsIn, MOST_CUSHIONS_OF_ALL } from './part-faults.ts'
export {
  BOUND_NAMES,
  FoundLay,
  LONGEST_SEARCHER_NAME,
  MakeLay,
  MOST_SEARCHER_LANES,
  Searcher,
  SearcherName,
  SearchMessage,
  Searchers,
} from './lay-search.ts'
export { Lay, LayCloth, LayPiece, LayProblem, MOST_PIECES, Placement } from './lay.ts'
export { AllowanceMm, DEEPEST_NOTCH_MM, LARGEST_ALLOWANCE_MM, LONGEST_MM, PositiveMm } from './lengths.ts'
export {
  CushionFit,
  Day,
  Fitting,
  FollowUpKind,
  LeftAbove,
  Making,
  Moment,
  MOST_PHOTOS,
  Papers,
  StepRecord,
  UsedMm,
} from './making.ts'
export {
  Buttons,
  Closure,
  Construction,
  EarCut,
  ReadyEdge,
  TiePlace,
  ZipEnds,
  EdgeReserve,
  Finishing,
  Grip,
  Handles,
  JoinPlaces,
  MakeUp,
  MOST_PANEL_PIECES,
  PanelJoins,
  PanelLayer,
  Piping,
  Side,
  Ties,
  Trims,
  TubeSeam,
  Vents,
} from './make-up.ts'
export { migrateCloth, migrateGrade, migrateSettings } from './migrations/index.ts'
export { jsonPath, placeOf, readJob, readWith, type Fault, type ReadDocument } from './read.ts'
export {
  JOB_LIMITS,
  limits,
  limitsOfKind,
  textLimits,
  type FieldOf,
  type KindOf,
  type Kinds,
  type Limits,
} from './limits.ts'
export {
  CornerSetting,
  Dimension,
  Division,
  type Ear,
  EdgeRole,
  EdgeSetting,
  Footprint,
  LEAST_GAP_MM,
  Lean,
  MOST_CUSHIONS,
  MOST_GAP_MM,
  MOST_LEAN_DEG,
  MOST_OVERHANG_MM,
  MOST_SWEEP_DEG,
  MOST_SIZE_ROWS,
  type OldSizes,
  Seat,
  SizeRow,
} from './seat.ts'
export { Charges, GivenQuote, Stage, Terms } from './terms.ts'
export { type BodySizes, Inside, KeepOrNot, OldBody, OldTuck, PartWork, There, ThingThere } from './there.ts'
export { Trim, TrimUnit, TrimUse } from './trims.ts'
export { BenchHand, Calendar, Learned, MachineCard, Rates, Resource, WorkKind, Workshop } from './workshop.ts'
export {
  AccessState,
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  ArchiveLook,
  ArchiveManifest,
  Backup,
  BackupContents,
  HistorySize,
  LEAST_PASSPHRASE,
  Role,
  SignedIn,
  SetPassphrases,
  SignIn,
} from './records.ts'
export {
  AskSupplier,
  GiveBack,
  StockMove,
  SupplierAnswer,
  SupplierItem,
  SupplierMood,
  SupplierOffer,
  Taken,
  TakeStock,
} from './stock.ts'
export { SendToTable, TableOrder, TableState } from './table.ts'
export { AllowanceBook, Band, Cloth, FirstWeekday, Flaw, KeptSchool, Pattern, ShopSettings, Supply } from './shop.ts'
