import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { wordsOfProgram } from './words.ts'

/** `npm run words -- de`: a file of all words of the program for a language, those that are translated kept. */
const language = process.argv[2]
if (!language || !/^[a-z]{2,3}$/.test(language)) {
  console.error('Which language? Give its code, as in: npm run words -- de')
  process.exit(2)
}
const file = `client/public/words/${language}.json`
const kept = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>) : {}
const words = Object.fromEntries(wordsOfProgram().map((word) => [word, kept[word] ?? '']))
mkdirSync('client/public/words', { recursive: true })
writeFileSync(file, `${JSON.stringify(words, null, 2)}\n`)
const open = Object.values(words).filter((w) => w === '').length
console.log(`${file}: ${Object.keys(words).length} texts, ${open} of them not translated yet`)
