// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest'
import { createApp } from 'vue'
import { shown, speak } from '../../core/language/index.ts'
import { changeLanguage, languageOf, useLanguage } from './use-language.ts'

const answering = (body: string, type: string, status = 200) =>
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status, headers: { 'content-type': type } })))
const reload = vi.fn()

afterEach(() => {
  vi.unstubAllGlobals()
  localStorage.clear()
  reload.mockClear()
  speak(null)
})

describe('the language of a shop', () => {
  it.each([
    ['', null],
    ['en-GB', null],
    ['EN', null],
    ['de-AT', 'de'],
    ['nds', 'nds'],
    ['en-XA', 'pseudo'],
  ])('locale "%s" is said in: %s', (locale, language) => expect(languageOf(locale)).toBe(language))

  it('is kept when the locale changes, and the page read again once', () => {
    vi.stubGlobal('location', { reload })
    changeLanguage('de-DE')
    changeLanguage('de-AT')
    expect(reload).toHaveBeenCalledTimes(1)
    changeLanguage('en-GB')
    expect(reload).toHaveBeenCalledTimes(2)
  })

  it('is read before anything is said; without its file, or with another in its place, English stays', async () => {
    localStorage.setItem('loft-seam-language', 'de')
    answering('{"Boxed":"Mit Steg"}', 'application/json')
    await useLanguage(createApp({}))
    expect(shown('Boxed')).toBe('Mit Steg')
    answering('<!doctype html>', 'text/html')
    await useLanguage(createApp({}))
    expect(shown('Boxed')).toBe('Boxed')
    answering('not found', 'application/json', 404)
    await useLanguage(createApp({}))
    expect(shown('Boxed')).toBe('Boxed')
    answering('{"Boxed":7}', 'application/json')
    await useLanguage(createApp({}))
    expect(shown('Boxed')).toBe('Boxed')
    answering('{"Boxed":', 'application/json')
    await useLanguage(createApp({}))
    expect(shown('Boxed')).toBe('Boxed')
  })
})
