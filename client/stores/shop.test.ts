import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { DEMO_CLOTHS, DEMO_FOAM_STOCK, DEMO_GRADES, DEMO_TRIMS } from '../../core/demo/index.ts'
import { USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import { SETTINGS } from '../testing/demo-shop.ts'
import { usePutBack } from './put-back.ts'
import { useShop } from './shop.ts'

interface Entry {
  readonly id: string
}

/** A server that keeps the shop's lists by their addresses. */
function fakeServer() {
  const lists: Record<string, readonly Entry[]> = {
    '/api/shop/grades': DEMO_GRADES,
    '/api/shop/cloths': DEMO_CLOTHS,
    '/api/shop/foam-stock': DEMO_FOAM_STOCK,
    '/api/stock/trims': DEMO_TRIMS,
  }
  const state = { refuses: false, reads: 0, bases: [] as (string | null)[] }
  const answer = (body: unknown, status = 200) => Promise.resolve(new Response(JSON.stringify(body), { status }))
  vi.stubGlobal('fetch', (url: string, init?: { method?: string; body?: string }) => {
    const method = init?.method ?? 'GET'
    if (method !== 'GET' && state.refuses)
      return answer({ type: 'about:blank', title: 'A job still uses it', status: 409 }, 409)
    if (url === '/api/shop/settings')
      return answer(method === 'PUT' ? (JSON.parse(init!.body!) as { value: unknown }).value : SETTINGS)
    if (method === 'GET') state.reads++
    const list = url in lists ? url : url.slice(0, url.lastIndexOf('/'))
    if (method === 'DELETE')
      lists[list] = lists[list]!.filter((e) => e.id !== decodeURIComponent(url.slice(list.length + 1)))
    if (method !== 'PUT') return answer(url in lists ? lists[url] : {})
    const changes = [JSON.parse(init!.body!)].flat() as { value: Entry; base: Entry | null }[]
    state.bases = changes.map((c) => c.base?.id ?? null)
    const put = changes.map((c) => c.value)
    lists[list] = [...lists[list]!.filter((e) => put.every((p) => p.id !== e.id)), ...put]
    return answer(url === list ? lists[list] : put[0])
  })
  return { state, lists }
}

beforeEach(() => setActivePinia(createPinia()))
afterEach(() => vi.unstubAllGlobals())

async function opened() {
  const server = fakeServer()
  const shop = useShop()
  await shop.open()
  return { shop, ...server }
}

describe("the shop's lists on a page", () => {
  it('are read once, and again when somebody else changed them', async () => {
    const { shop, state } = await opened()
    await shop.open()
    expect([state.reads, shop.lists!.cloths.length]).toEqual([4, DEMO_CLOTHS.length])
    await shop.readAgain()
    expect(state.reads).toBe(8)
  })

  it('are not read again by a page that never opened them, which works by the usual workshop', async () => {
    const { state } = fakeServer()
    const shop = useShop()
    await shop.readAgain()
    expect([state.reads, shop.lists, shop.workshop]).toEqual([0, null, USUAL_WORKSHOP])
  })

  it('what is kept stands in them at once, what is dropped does not', async () => {
    const { shop } = await opened()
    await shop.keepCloths([{ ...DEMO_CLOTHS[0]!, id: 'new', name: 'Petrel canvas' }])
    await shop.keepGrades([{ ...DEMO_GRADES[0]!, name: 'Renamed' }])
    await shop.keepFoamStock([{ ...DEMO_FOAM_STOCK[0]!, count: 17 }], [DEMO_FOAM_STOCK[0]!])
    await shop.keepTrims([{ ...DEMO_TRIMS[0]!, inHand: 99 }])
    await shop.changeSettings({ ...SETTINGS, units: 'inch-8' })
    const { cloths, grades, foamStock, trims, settings } = shop.lists!
    expect([
      cloths.at(-1)!.name,
      grades.find((g) => g.id === DEMO_GRADES[0]!.id)!.name,
      foamStock.find((s) => s.id === DEMO_FOAM_STOCK[0]!.id)!.count,
      trims.find((t) => t.id === DEMO_TRIMS[0]!.id)!.inHand,
      settings.units,
    ]).toEqual(['Petrel canvas', 'Renamed', 17, 99, 'inch-8'])
    await shop.dropCloth('new')
    await shop.dropGrade(DEMO_GRADES[0]!.id)
    await shop.dropFoamStock(DEMO_FOAM_STOCK[0]!.id)
    await shop.dropTrim(DEMO_TRIMS[0]!.id)
    expect(
      [shop.lists!.cloths, shop.lists!.grades, shop.lists!.foamStock, shop.lists!.trims].map((l) => l.length),
    ).toEqual([DEMO_CLOTHS.length, DEMO_GRADES.length - 1, DEMO_FOAM_STOCK.length - 1, DEMO_TRIMS.length - 1])
  })

  it('each change goes with what it was made on, or as new, whether the server takes them together or one by one', async () => {
    const { shop, state, lists } = await opened()
    const [known] = DEMO_CLOTHS
    await shop.keepCloths([
      { ...known!, name: 'Renamed' },
      { ...known!, id: 'new', name: 'Petrel canvas' },
    ])
    expect(lists['/api/shop/cloths']!.slice(-2)).toMatchObject([{ name: 'Renamed' }, { name: 'Petrel canvas' }])
    expect(state.bases).toEqual([null])
    await shop.keepCloths([{ ...known!, name: 'Again' }], [known!])
    expect(state.bases).toEqual([known!.id])
    await shop.keepTrims([DEMO_TRIMS[1]!, { ...DEMO_TRIMS[0]!, id: 'other' }])
    expect(state.bases).toEqual([DEMO_TRIMS[1]!.id, null])
  })

  it('stay as they were when the server refuses, and its words come through', async () => {
    const { shop, state } = await opened()
    state.refuses = true
    await expect(shop.dropCloth(DEMO_CLOTHS[0]!.id)).rejects.toThrow('A job still uses it')
    await expect(shop.keepTrims([])).rejects.toThrow('A job still uses it')
    expect([shop.lists!.cloths, shop.lists!.trims]).toEqual([DEMO_CLOTHS, DEMO_TRIMS])
  })
})

describe('what is taken out of a list', () => {
  it('is put back in whichever list it was', async () => {
    const { shop } = await opened()
    const putBack = usePutBack()
    const drops = [
      [() => shop.lists!.cloths, shop.dropCloth],
      [() => shop.lists!.foamStock, shop.dropFoamStock],
      [() => shop.lists!.trims, shop.dropTrim],
    ] as const
    for (const [list, drop] of drops) {
      const [thing] = list()
      await drop(thing!.id)
      expect(list()).not.toContainEqual(thing)
      await putBack.putBack()
      expect(list()).toContainEqual(thing)
    }
  })

  it('is put back as it was with one press, and offered no more', async () => {
    const { shop } = await opened()
    const putBack = usePutBack()
    const before = shop.lists!.grades
    const grade = before[2]!
    await shop.dropGrade(grade.id)
    expect(shop.lists!.grades.some((g) => g.id === grade.id)).toBe(false)
    expect(putBack.offer!.says).toBe(`${grade.name} is out of the catalogue.`)
    await putBack.putBack()
    expect(shop.lists!.grades.find((g) => g.id === grade.id)).toEqual(grade)
    expect(putBack.offer).toBeNull()
  })
})
