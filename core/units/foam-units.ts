/** A pound for a cubic foot in kg/m³, a pound in kilograms, and a pound-force in newtons. */
export const KG_M3_PER_LB_FT3 = 16.018463
export const KG_PER_LB = 0.45359237
export const N_PER_LBF = 4.448222
