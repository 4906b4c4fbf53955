/** Keys that work anywhere outside a field; shown in the help. */
export const SHORTCUTS = [
  { keys: '/', does: 'to the typing line' },
  { keys: '?', does: 'this help' },
  { keys: 'Ctrl+Z', does: 'undo' },
  { keys: 'Ctrl+Shift+Z', does: 'redo' },
  { keys: 'Alt+1 … Alt+9', does: 'to a station' },
  { keys: 'Alt+Page down, Alt+Page up', does: 'to the next cushions of a set, or back' },
  { keys: 'Ctrl+P', does: 'print this station' },
] as const
