/** What is wanted soon is loaded while nothing else is done. */
export const whenIdle = (work: () => void): void => {
  if ('requestIdleCallback' in window) requestIdleCallback(work)
  else setTimeout(work, 500)
}
