const HEAD = '0 SECTION 2 HEADER 9 $INSUNITS 70 4 0 ENDSEC 0 SECTION 2 ENTITIES'
const TAIL = '0 ENDSEC 0 EOF'

/** A DXF file in millimetres of these lines, code and value in turn. */
export const dxfOf = (...lines: readonly string[]): string =>
  [...HEAD.split(' '), ...lines, ...TAIL.split(' ')].join('\n')
