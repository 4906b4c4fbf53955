import { inSpace } from '../../space.ts'

/** From the seat upwards. */
export const UP = inSpace(0, 0, 1)
