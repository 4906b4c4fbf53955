/** What the typing line understands, for its own help. */
export const GRAMMAR: readonly { readonly form: string; readonly does: string; readonly example: string }[] = [
  {
    form: 'bench LENGTH x DEPTH x THICKNESS in N',
    does: 'a straight bench divided into N cushions',
    example: 'bench 2236 x 468 x 75 in 3',
  },
  {
    form: 'seat WIDTH x DEPTH x THICKNESS times N',
    does: 'N single cushions of one size; with "and" between them several kinds, each a part of the ticket',
    example: 'seat 23 5/8 x 20 x 4 times 2',
  },
  {
    form: 'taper NEAR x FAR x DEPTH x T left OFFSET in N',
    does: 'near and far edges parallel; centred without an offset; times N of it, or one divided into N',
    example: 'taper 1124 x 860 x 402 x 60 left 0',
  },
  {
    form: 'tseat W x D x T ears OUT x DEEP',
    does: 'ears in front of the arms; lseat with left or right for one',
    example: 'tseat 610 x 545 x 110 ears 62 x 148 times 4',
  },
  {
    form: 'corner A x B x DEPTH x T in N and M',
    does: 'a bench round a corner; square or mitre for its corner',
    example: 'corner 2400 x 1800 x 500 x 90 in 3 and 2 square',
  },
  {
    form: 'ring RADIUS x DEPTH x T wall LENGTH in N',
    does: 'a bench along a round wall; angle for a length, outer if taped on the wall, straight for straight cuts',
    example: 'ring 1870 x 520 x 90 wall 3640 in 5',
  },
  {
    form: 'ring chord CHORD x RISE x DEPTH x T in N',
    does: 'the same from a chord and its rise',
    example: 'ring chord 3000 x 620 x 520 x 90 in 5',
  },
  {
    form: 'berth LENGTH x HEAD x FOOT x T hull ANGLE pair',
    does: 'half a berth and its mirror image; at 600 610 for stations, smooth to bend the hull',
    example: 'berth 1860 x 640 x 215 x 100 hull 24 pair',
  },
  {
    form: 'disc ACROSS x T times N  ·  halfdisc ACROSS x T',
    does: 'round cushions; half round, straight in front',
    example: 'disc 350 x 70 times 2',
  },
  {
    form: 'bolster LENGTH x ACROSS times N  ·  cube SIDE times N',
    does: 'rolls; cubes, by one side or W x D x H',
    example: 'bolster 900 x 180 times 2',
  },
  {
    form: 'taped AB 1860, BC 640, … thick T',
    does: 'corners from tapes between them; A-BC to the middle of a side; hollow C for an inward corner',
    example: 'taped AB 900, BC 600, CD 900, DA 600, AC 1082 thick 80',
  },
  {
    form: 'points X Y, X Y, … thick T',
    does: 'an outline from a table of points',
    example: 'points 0 0, 600 0, 600 500, 0 500 thick 80',
  },
  {
    form: 'length, width, depth, thickness, radius, tape AC …',
    does: 'readings of a dimension; several are kept and the middle one counts',
    example: 'depth 470, 469',
  },
  {
    form: 'round R CORNER  ·  cut A x B CORNER  ·  square CORNER',
    does: 'corners; all without a name',
    example: 'cut 210 x 330 far right',
  },
  { form: 'bow RISE EDGE', does: 'an edge bowed outwards by its rise (minus: inwards)', example: 'bow 40 front' },
  {
    form: 'lean DEGREES EDGE  ·  overhang MM EDGE',
    does: 'a side that leans out going up (minus: in)',
    example: 'lean 24 left',
  },
  {
    form: 'wall, hinge, hull, open EDGE  ·  front EDGE',
    does: 'what an edge meets; where the sitter sits',
    example: 'wall left',
  },
  { form: 'mirror  ·  turn DEGREES', does: 'the other hand; turned further', example: 'turn 90' },
  { form: 'gap G  ·  squeeze G', does: 'between neighbours on a bench', example: 'squeeze 2' },
  { form: 'in N  ·  times N and M mirrored', does: 'number of cushions', example: 'times 1 and 1 mirrored' },
  {
    form: 'rows W x D, W x D times N, …',
    does: 'cushions of one kind that differ: a size each',
    example: 'rows 452 x 431, 449 x 436, 455 x 433 times 2',
  },
  {
    form: 'part NAME  ·  part NAME: any line of these',
    does: 'other cushions of the same order: looks at them, or begins them',
    example: 'part backs: seat 560 x 480 x 140 times 3',
  },
  {
    form: 'copy to NAME  ·  as part NAME',
    does: 'the same cushions again; filling and make-up as those of another part',
    example: 'copy to backs',
  },
  { form: 'clearance C', does: 'left free at walls, hinges and the hull', example: 'clearance 6' },
  { form: 'sa S', does: 'seam allowance on this job', example: 'sa 12' },
  {
    form: 'makeup NAME',
    does: 'how the cover is built: boxed, knife-edge, capped, bolster …',
    example: 'makeup knife-edge',
  },
  {
    form: 'close NAME SIDE',
    does: 'how it opens: zip in a gusset, zip in the seam, snap tape, sewn shut 300 …',
    example: 'close zip seam back',
  },
  {
    form: 'pipe none | top | bottom | both, EDGES, cord C, across | along | bias',
    does: 'piping; all edges without a name',
    example: 'pipe both cord 5 bias',
  },
  {
    form: 'liner  ·  buttons ROWS x ACROSS staggered',
    does: 'an inner cover; buttons through the block',
    example: 'buttons 2 x 5 staggered',
  },
  { form: 'foam NAME', does: 'a grade of the catalogue', example: 'foam gannet 36' },
  { form: 'top NAME THICKNESS', does: 'a softer layer on top of the block', example: 'top eider 25' },
  {
    form: 'order cover  ·  order filling  ·  order both',
    does: 'a new cover for what is there, a new filling for the cover that is there, or both',
    example: 'order cover',
  },
  {
    form: 'use NAME  ·  lives WHERE  ·  on BASE',
    does: 'dining, lounge, back, bench, sleeping, cockpit, kneeler, hassock; indoors, sun, damp, wet; board, slats, webbing, mesh',
    example: 'use lounge',
  },
  {
    form: 'sitters LIGHTEST to HEAVIEST',
    does: 'whom the foam must carry: kg, in inch jobs lb',
    example: 'sitters 45 to 95',
  },
  { form: 'board THICKNESS', does: 'under the cushion', example: 'board 9' },
  {
    form: 'school NAME  ·  wadding LOFT | none',
    does: 'full block, size for size, snug cover, wrap then measure, thinner block',
    example: 'school snug cover',
  },
  { form: 'fibre', does: 'loose fibre in a liner instead of foam', example: 'fibre' },
  { form: 'cloth NAME', does: 'a cloth of the shop', example: 'cloth storm canvas' },
  {
    form: 'cloth NAME for PLACE',
    does: 'piping, boxing, bottom, base or lining of another cloth',
    example: 'cloth storm canvas for piping',
  },
  {
    form: 'several of these, with commas',
    does: 'each after the other; a new ticket takes them too',
    example: 'seat 600 x 500 x 80 times 2, firm foam, pipe both',
  },
  {
    form: 'railroad  ·  up  ·  match',
    does: 'which way the cloth runs; its pattern goes on over the seams (match none: it need not)',
    example: 'railroad',
  },
  { form: 'ties N SIDE  ·  handles N SIDE', does: 'sewn on at a side; none takes them away', example: 'ties 2 back' },
  {
    form: 'customer NAME  ·  title WORDS  ·  note WORDS  ·  due DAY',
    does: 'what stands on the ticket; a day by its name, its date, or in so many weeks',
    example: 'due 2026-12-04',
  },
  { form: 'units mm | cm | in | in16', does: 'how this job shows its lengths', example: 'units in' },
]
