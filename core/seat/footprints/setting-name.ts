/**
 * The edge that carries the settings of another: of a hull in several arcs, of what is round (it leans all round or not
 * at all), and of the half that was traced.
 */
export const settingName = (edge: string): string => edge.replace(/^(hull|round) \d+$/, '$1').replace(/′$/, '')
