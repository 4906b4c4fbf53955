/** Hands a file to the browser to be saved. */
export function download(name: string, content: string | Uint8Array<ArrayBuffer>, type: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  // Some browsers read the file only after the click is over.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
