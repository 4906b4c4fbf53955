import { MM_PER_INCH } from './unit.ts'

/** A pound for a cubic foot in kg/m³, a pound in kilograms, and a pound-force in newtons. */
export const KG_M3_PER_LB_FT3 = 16.018463
export const KG_PER_LB = 0.45359237
export const N_PER_LBF = 4.448222

/** Cloth and trims are sold by the yard beside inches, and cloth in eighths of it. */
export const METRES_PER_YARD = (36 * MM_PER_INCH) / 1000
export const EIGHTH_OF_A_YARD_MM = 125 * METRES_PER_YARD

/** Cloth by the ounce a square yard: sixteen are a pound. */
export const G_M2_PER_OZ_YD2 = ((KG_PER_LB / 16) * 1000) / METRES_PER_YARD ** 2

/** Foam by the board foot, a foot square and an inch thick. */
export const BOARD_FEET_PER_M3 = 1e9 / (12 * 12 * MM_PER_INCH ** 3)
