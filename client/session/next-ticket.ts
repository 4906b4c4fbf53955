/** The next free ticket number of the shop: one above the highest `J-` number on the shelf. */
export function nextTicket(jobs: readonly { readonly ticket: string }[]): string {
  const numbers = jobs.map((j) => Number(/^J-(\d+)$/.exec(j.ticket)?.[1] ?? 0))
  return `J-${String(Math.max(0, ...numbers) + 1).padStart(3, '0')}`
}
