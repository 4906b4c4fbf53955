/** Rows of text in columns, numbers to the right. */
export function printTable(head: readonly string[], rows: readonly (readonly string[])[]): void {
  const widths = head.map((h, i) => Math.max(h.length, ...rows.map((r) => r[i]!.length)))
  const line = (cells: readonly string[]) =>
    cells.map((c, i) => (i === 0 ? c.padEnd(widths[i]!) : c.padStart(widths[i]!))).join('  ')
  process.stdout.write(`${[head, ...rows].map(line).join('\n')}\n\n`)
}
