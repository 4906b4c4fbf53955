/** The edge that carries the settings of another: of a hull in several arcs, and of the half that was traced. */
export const settingName = (edge: string): string => edge.replace(/^hull \d+$/, 'hull').replace(/′$/, '')
