/**
 * What this browser keeps by name; a page that may not use its store, or finds it full, keeps it for itself meanwhile.
 */
const here = new Map<string, string>()

const withStore = <T>(use: (store: Storage) => T, otherwise: T): T => {
  try {
    return use(localStorage)
  } catch {
    return otherwise
  }
}

/** Whether it outlives the page. */
export type Kept = 'in-browser' | 'in-page'

/** Keeps a text in this browser, or, where that cannot be, for as long as the page stands. */
export function keepText(key: string, text: string): Kept {
  const isStored = withStore((store) => {
    store.setItem(key, text)
    return true
  }, false)
  if (isStored) here.delete(key)
  else here.set(key, text)
  return isStored ? 'in-browser' : 'in-page'
}

export const keptText = (key: string): string | null => here.get(key) ?? withStore((store) => store.getItem(key), null)

/** Forgets what was kept by that name. */
export function dropText(key: string): void {
  here.delete(key)
  withStore((store) => store.removeItem(key), undefined)
}

export const keptKeys = (prefix: string): readonly string[] => [
  ...new Set([...here.keys(), ...withStore((store) => Object.keys(store), [])].filter((key) => key.startsWith(prefix))),
]
