import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { compileTemplate, parse } from 'vue/compiler-sfc'
import { formOf } from '../core/language/index.ts'
import { templateWords } from './template-words.ts'

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')

/** Every text that the program says: whole ones, and sentences by their form. In the order of the alphabet. */
export function wordsOfProgram(): readonly string[] {
  const files = ['core', 'client', 'contract'].flatMap((room) =>
    readdirSync(path.join(ROOT, room), { recursive: true, encoding: 'utf8' }).map((file) => path.join(room, file)),
  )
  const sources = files.filter((f) => /\.(ts|vue)$/.test(f) && !/\.(test|d)\.ts$|testing/.test(f))
  const all = sources.flatMap((file) => {
    const text = readFileSync(path.join(ROOT, file), 'utf8')
    return file.endsWith('.vue') ? wordsOfComponent(file, text) : wordsOfCode(file, text)
  })
  return [...new Set(all)].sort()
}

/** In what the compiler makes of a component all words stand in calls and texts, as in any other code. */
function wordsOfComponent(file: string, text: string): readonly string[] {
  const { descriptor } = parse(text, { filename: file })
  const { code } = compileTemplate({
    source: descriptor.template?.content ?? '',
    filename: file,
    id: file,
    compilerOptions: { nodeTransforms: [templateWords], expressionPlugins: ['typescript'] },
  })
  return [...wordsOfCode(file, code), ...wordsOfCode(file, descriptor.scriptSetup?.content ?? '')]
}

function wordsOfCode(file: string, text: string): readonly string[] {
  const words: string[] = []
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return
    if (ts.isTaggedTemplateExpression(node) && ts.isTemplateExpression(node.template)) {
      const { head, templateSpans } = node.template
      words.push(formOf([head.text, ...templateSpans.map((s) => s.literal.text)]))
    }
    if ((ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) && mayBeSaid(node.text))
      words.push(node.text)
    ts.forEachChild(node, look)
  }
  look(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, false, ts.ScriptKind.TS))
  return words
}

/** Words of a language; not a name of the code, a path, a colour, a shape. */
const mayBeSaid = (text: string): boolean =>
  /\p{L}{2}/u.test(text) &&
  !/^[a-z]+[A-Z]\w*$/.test(text) &&
  (/^\p{L}[\p{L}']*[.,:;?!…]?$/u.test(text) || /\s|-/.test(text)) &&
  !/[<>{}_]|^[./#]|:\/\//.test(text.replace(/\{\d+\}/g, ''))
