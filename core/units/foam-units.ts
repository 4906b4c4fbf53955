/** A pound for a cubic foot in kg/m³, and a pound-force in newtons. */
export const KG_M3_PER_LB_FT3 = 16.018463
export const N_PER_LBF = 4.448222
