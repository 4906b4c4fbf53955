/** To a ten-thousandth of a millimetre: readable files, far below any tolerance. */
export const round4 = (v: number): number => Math.round(v * 1e4) / 1e4
