import { describe, expect, it } from 'vitest'
import { compileTemplate } from 'vue/compiler-sfc'
import { templateWords } from './template-words.ts'
import { wordsOfProgram } from './words.ts'

const compiled = (source: string) =>
  compileTemplate({
    source,
    filename: 'a.vue',
    id: 'a',
    compilerOptions: { nodeTransforms: [templateWords], expressionPlugins: ['typescript'] },
  })

describe('words of templates', () => {
  it.each([
    ['<p>Two plates</p>', '$sentence("Two plates")'],
    ['<p>{{ n }} labels on {{ m }} sheets</p>', '$sentence("{0} labels on {1} sheets", (_ctx.n), (_ctx.m))'],
    ['<p>{{ title }}</p>', '$shown(_ctx.title)'],
    ['<b title="Larger">+</b>', '$shown("Larger")'],
    ['<b :aria-label="name">x</b>', '$shown(_ctx.name)'],
    ['<b v-if="a" :title="`Size of ${b}`" />', '$phrase`Size of ${_ctx.b}`'],
    ['<ElOption label="All" />', '$shown("All")'],
    ['<template v-for="x in xs" :key="x"><i>Cut {{ x }}</i></template>', '$sentence("Cut {0}", (x))'],
    ['<p>{{ ok ? `${n} left` : "" }}</p>', '$phrase`${_ctx.n} left`'],
  ])('%s', (source, call) => {
    const { code, errors } = compiled(source)
    expect(errors).toEqual([])
    expect(code.replaceAll('_ctx.$', '$')).toContain(call)
  })

  it.each([
    ['<code>bench 2236 x 468</code>', 'lines that are typed stay as they are'],
    ['<g :transform="`translate(${x} ${y})`" />', 'a place in a drawing is no sentence'],
    ['<p class="quiet"> · </p>', 'a sign is no word'],
  ])('%s: %s', (source) => {
    expect(compiled(source).code).not.toMatch(/\$(sentence|shown|phrase)/)
  })
})

describe('all words of the program', () => {
  const words = wordsOfProgram()
  it.each([
    'Labels as PDF',
    '{0} labels on {1} {2}. Print at 100 %, not fitted to the page; try it on plain paper first and hold it against the sheet.',
    'Knife-edge',
    'Two plates and boxing between them.',
    'front',
    '{0} to the top plate',
  ])('have: %s', (word) => expect(words).toContain(word))

  it('are each there once, in order, and none is a name of the code', () => {
    expect(words).toEqual([...new Set(words)].sort())
    expect(words.filter((w) => /^[a-z]+[A-Z]\w*$/.test(w))).toEqual([])
  })
})
