/** What the typing line understands, for its own help. */
export const GRAMMAR: readonly { readonly form: string; readonly does: string; readonly example: string }[] = [
  { form: 'bench LENGTH x DEPTH x THICKNESS in N', does: 'a straight bench divided into N cushions', example: 'bench 2236 x 468 x 75 in 3' },
  { form: 'seat WIDTH x DEPTH x THICKNESS times N', does: 'N single cushions of one size', example: 'seat 23 5/8 x 20 x 4 times 2' },
  { form: 'length, width, depth, thickness …', does: 'readings of a dimension; several are kept and the middle one counts', example: 'depth 470, 469' },
  { form: 'gap G  ·  squeeze G', does: 'between neighbours on a bench', example: 'squeeze 2' },
  { form: 'in N', does: 'number of cushions', example: 'in 4' },
  { form: 'sa S', does: 'seam allowance on this job', example: 'sa 12' },
  { form: 'pipe none | top | both, cord C, across | along | bias', does: 'piping', example: 'pipe both cord 5 bias' },
  { form: 'foam NAME', does: 'a grade of the catalogue', example: 'foam gannet 36' },
  { form: 'cloth NAME', does: 'a cloth of the shop', example: 'cloth storm canvas' },
  { form: 'railroad  ·  up', does: 'which way the cloth runs', example: 'railroad' },
  { form: 'units mm | cm | in | in16', does: 'how this job shows its lengths', example: 'units in' },
]
