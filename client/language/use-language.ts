import type { App } from 'vue'
import { z } from 'zod'
import { phrase, sentence, shown, speak, type Dictionary } from '../../core/language/index.ts'
import { keepText, keptText } from '../storage/browser-store.ts'

/** Which language this browser was last told to speak; the shop's settings say so, and are read later than this. */
const KEPT = 'loft-seam-language'

/** Reads the words of the shop's language before anything is said, and gives templates what they say them with. */
export async function useLanguage(app: App): Promise<void> {
  Object.assign(app.config.globalProperties, { $phrase: phrase, $sentence: sentence, $shown: shown })
  const language = keptText(KEPT)
  speak(language ? await wordsOf(language) : null)
}

/** The shop's locale wants another language than is spoken: it is kept, and the page read again in it. */
export function changeLanguage(locale: string): void {
  const wanted = languageOf(locale)
  if ((wanted ?? '') === (keptText(KEPT) ?? '')) return
  // A browser that keeps nothing would be read again for ever.
  if (keepText(KEPT, wanted ?? '') === 'in-browser') location.reload()
}

/** The part of a locale that names a file of words; null for English, which needs none. */
export function languageOf(locale: string): string | null {
  const [language] = locale.toLowerCase().split('-')
  return locale === 'en-XA' ? 'pseudo' : !language || language === 'en' ? null : language
}

const Words = z.record(z.string(), z.string())

async function wordsOf(language: string): Promise<Dictionary | null> {
  try {
    const answer = await fetch(`/words/${language}.json`)
    const isWords = answer.ok && answer.headers.get('content-type')?.includes('json')
    const words = Words.safeParse(isWords ? await answer.json() : null)
    return words.success ? words.data : null
  } catch {
    return null
  }
}
