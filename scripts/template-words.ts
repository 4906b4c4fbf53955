import type { NodeTransform } from '@vue/compiler-core'
import { babelParse, walk } from 'vue/compiler-sfc'

/*
 * At build time every word of a template goes through the language of the shop: texts, texts with figures between them,
 * what a figure shows, and the attributes that are read out or shown. So none can be forgotten.
 */

const ELEMENT = 1
const TEXT = 2
const INTERPOLATION = 5
const ATTRIBUTE = 6
const DIRECTIVE = 7

/** Attributes that a person reads, on any element; the kit's own parts show more of them. */
const READ = new Set(['title', 'placeholder', 'alt', 'aria-label', 'aria-description'])
/** What these hold is drawn or looked up, never read. */
const NOT_READ = new Set(['transform', 'd', 'points', 'viewBox', 'view-box', 'style', 'class', 'key', 'id', 'href'])
const READ_IN_KIT = new Set([...READ, 'label', 'description'])
/** What stands in these is code: lines that are typed, keys. */
const AS_IT_IS = new Set(['code', 'kbd'])

type Node = Parameters<NodeTransform>[0]
type Loc = Node['loc']
interface Child {
  type: number
  loc: Loc
  content: unknown
}

/** A transform for the compiler of templates. An element is seen with its parent, before its own names are resolved. */
export const templateWords: NodeTransform = (node) => {
  if (('tag' in node && AS_IT_IS.has(node.tag)) || !('children' in node) || !Array.isArray(node.children)) return
  // In place: a loop over a template and the template hold the same list.
  const children = node.children as unknown as Child[]
  children.splice(0, children.length, ...withWords(children))
  for (const child of children as unknown as Node[])
    if (child.type === ELEMENT) for (const [i, prop] of child.props.entries()) child.props[i] = ownProp(child.tag, prop)
}

/** Of the syntax tree, what is asked of it here. */
interface Expression {
  readonly type: string
  readonly start?: number
  readonly expressions?: readonly unknown[]
  readonly quasis?: readonly { readonly value: { readonly raw: string } }[]
}

type Prop = Extract<Node, { props: unknown[] }>['props'][number]

function ownProp(tag: string, prop: Prop): Prop {
  const read = tag.startsWith('El') ? READ_IN_KIT : READ
  if (prop.type === ATTRIBUTE && read.has(prop.name) && prop.value && isWord(prop.value.content))
    return {
      type: DIRECTIVE,
      name: 'bind',
      rawName: `:${prop.name}`,
      exp: expression(`$shown(${JSON.stringify(prop.value.content)})`, prop.loc),
      arg: { ...expression(prop.name, prop.loc), isStatic: true },
      modifiers: [],
      loc: prop.loc,
    } as unknown as Prop
  if (prop.type !== DIRECTIVE || !prop.exp || !('content' in prop.exp) || prop.name === 'for') return prop
  const source = prop.exp.content
  const bound = prop.name === 'bind' && prop.arg && 'content' in prop.arg ? prop.arg.content : ''
  const phrased = prop.name === 'slot' || NOT_READ.has(bound) ? source : withPhrases(source)
  const isRead = read.has(bound)
  const own = isRead ? `$shown(${phrased})` : phrased
  return own === source ? prop : { ...prop, exp: expression(own, prop.exp.loc) as never }
}

function withWords(children: readonly Child[]): Child[] {
  const runs = children.reduce<Child[][]>((all, child) => {
    const isSaid = child.type === TEXT || child.type === INTERPOLATION
    const last = all.at(-1)
    const goesOn = isSaid && last && (last[0]!.type === TEXT || last[0]!.type === INTERPOLATION)
    if (goesOn) last.push(child)
    else all.push([child])
    return all
  }, [])
  return runs.flatMap((run) => (run[0]!.type === TEXT || run[0]!.type === INTERPOLATION ? said(run) : run))
}

/** Texts and figures that stand together are one sentence. */
function said(run: readonly Child[]): readonly Child[] {
  const isSentence = run.some((c) => c.type === TEXT && isWord(c.content as string))
  if (!isSentence) return run.map((c) => (c.type === TEXT ? c : shownFigure(c)))
  const figures = run.filter((c) => c.type === INTERPOLATION).map((c) => `(${withPhrases(sourceOf(c))})`)
  let place = 0
  const form = run.map((c) => (c.type === TEXT ? (c.content as string) : `{${place++}}`)).join('')
  const [, before, words, after] = /^(\s*)([\s\S]*?)(\s*)$/.exec(form)!
  const { loc } = run[0]!
  const call = `$sentence(${[JSON.stringify(words!.replace(/\s+/g, ' ')), ...figures].join(', ')})`
  const space = (content: string): Child[] => (content === '' ? [] : [{ type: TEXT, content: ' ', loc }])
  return [...space(before!), { type: INTERPOLATION, content: expression(call, loc), loc }, ...space(after!)]
}

const sourceOf = (child: Child): string => (child.content as { content: string }).content
const shownFigure = (child: Child): Child => ({
  ...child,
  content: expression(`$shown(${withPhrases(sourceOf(child))})`, child.loc),
})

/** Template literals with words in them, within an expression, are phrases. */
function withPhrases(source: string): string {
  if (!source.includes('`')) return source
  const places: number[] = []
  // A handler may be several statements, anything else is one expression.
  const parsed = babelParse(`(${source.includes(';') ? `() => {${source}}` : source})`, { plugins: ['typescript'] })
  const shift = source.includes(';') ? '(() => {'.length : 1
  walk(parsed, {
    enter(node: Expression, parent: Expression | null) {
      if (node.type !== 'TemplateLiteral' || parent?.type === 'TaggedTemplateExpression') return
      if (node.expressions!.length > 0 && node.quasis!.some((q) => isPhrase(q.value.raw)))
        places.push(node.start! - shift)
    },
  })
  return places.sort((a, b) => b - a).reduce((text, at) => `${text.slice(0, at)}$phrase${text.slice(at)}`, source)
}

const isWord = (text: string): boolean => /\p{L}{2}/u.test(text)
/** Words, or what stands between words. */
const isPhrase = (text: string): boolean => /\p{L}{2}|[,:;] | /u.test(text)

const expression = (content: string, loc: Loc) => ({ type: 4, content, isStatic: false, constType: 0, loc })
