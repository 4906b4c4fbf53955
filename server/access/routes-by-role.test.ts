import type { Express, Router } from 'express'
import request from 'supertest'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import type * as app from '../app.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'

/** The server's own router, as it was put together. */
const seen = vi.hoisted(() => ({ app: null as Express | null }))
vi.mock('../app.ts', async (original) => {
  const own = await original<typeof app>()
  return { ...own, createApp: (parts: Parameters<typeof own.createApp>[0]) => (seen.app = own.createApp(parts)) }
})

/** What each role may do, by route: a route that is not named here has no rule, and fails. */
const RULES: Readonly<Record<string, { readonly nobody: Answer; readonly viewer: Answer; readonly maker: Answer }>> = {
  'GET /api/health': { nobody: 'may', viewer: 'may', maker: 'may' },
  'GET /api/access/': { nobody: 'may', viewer: 'may', maker: 'may' },
  'POST /api/access/in': { nobody: 'may', viewer: 'may', maker: 'may' },
  'POST /api/access/out': { nobody: 'may', viewer: 'may', maker: 'may' },
  'DELETE /api/access/sessions/:id': { nobody: 'may not', viewer: 'may not', maker: 'may' },
  'PUT /api/access/passphrases': { nobody: 'may not', viewer: 'may not', maker: 'may' },
  'GET /api/events': { nobody: 'signs in', viewer: 'may', maker: 'may' },
  'GET /api/records/archive': { nobody: 'signs in', viewer: 'may not', maker: 'may' },
  ...reading('/api/records/backups', '/api/records/backups/:name', '/api/records/history'),
  ...changing(
    'POST /api/records/backups',
    'POST /api/records/backups/:name/restore',
    'POST /api/records/archive/look',
    'POST /api/records/archive/take/:token',
  ),
  ...reading('/api/photos/:id'),
  ...changing('POST /api/photos/of/:jobId', 'DELETE /api/photos/:id'),
  ...changing('POST /api/lays/', 'POST /api/lays/search'),
  ...reading('/api/lays/searchers'),
  ...reading(
    '/api/jobs/',
    '/api/jobs/:id',
    '/api/jobs/:id/revisions',
    '/api/jobs/:id/revisions/:revision',
    '/api/jobs/:id/file',
  ),
  ...changing('POST /api/jobs/', 'PUT /api/jobs/:id'),
  ...reading('/api/shop/grades', '/api/shop/cloths', '/api/shop/settings', '/api/shop/foam-stock'),
  ...changing(
    'PUT /api/shop/cloths/:id',
    'DELETE /api/shop/cloths/:id',
    'PUT /api/shop/settings',
    'PUT /api/shop/grades',
    'DELETE /api/shop/grades/:id',
    'PUT /api/shop/foam-stock/:id',
    'DELETE /api/shop/foam-stock/:id',
  ),
  ...reading('/api/stock/trims', '/api/stock/moves'),
  ...changing(
    'PUT /api/stock/trims',
    'DELETE /api/stock/trims/:id',
    'POST /api/stock/take',
    'POST /api/stock/give-back',
  ),
  ...reading('/api/table/'),
  ...changing('POST /api/table/cut', 'POST /api/table/stop', 'POST /api/table/resume'),
  ...changing('POST /api/supplier/ask'),
}

type Answer = 'may' | 'may not' | 'signs in'

function reading(...paths: string[]): typeof RULES {
  return Object.fromEntries(paths.map((p) => [`GET ${p}`, { nobody: 'signs in', viewer: 'may', maker: 'may' }]))
}
function changing(...routes: string[]): typeof RULES {
  return Object.fromEntries(routes.map((r) => [r, { nobody: 'signs in', viewer: 'may not', maker: 'may' }]))
}

interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> }
  readonly handle?: Router & { readonly stack?: readonly Layer[] }
  readonly match?: (path: string) => { readonly path?: string }
}

const [MAKER, VIEWER] = ['salt wind and good thread', 'only here to look']
let shop: TestShop
let cookies: Record<'maker' | 'viewer', string>
let routes: readonly string[]
beforeAll(async () => {
  shop = await openTestShop(undefined, { host: '0.0.0.0', passphrases: { maker: MAKER, viewer: VIEWER } })
  routes = routesOf(seen.app!)
  const signIn = async (passphrase: string) =>
    (await request(at()).post('/api/access/in').set('X-Page', 'p').send({ passphrase })).headers[
      'set-cookie'
    ]![0]!.split(';')[0]!
  cookies = { maker: await signIn(MAKER), viewer: await signIn(VIEWER) }
}, 180_000)
afterAll(() => shop.end())
const at = () => shop.address.replace('0.0.0.0', '127.0.0.1')

/** Every route of the router, found by walking it. */
function routesOf(app: Express): readonly string[] {
  const walk = (layers: readonly Layer[], prefix: string): string[] =>
    layers.flatMap((layer) => {
      const { route, handle } = layer
      if (route) return Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${prefix}${route.path}`)
      return handle?.stack ? walk(handle.stack as readonly Layer[], prefix + (mounts.get(handle) ?? '')) : []
    })
  const mounts = mountsOf(app)
  return walk((app as unknown as { router: { stack: Layer[] } }).router.stack, '')
}

/** A layer does not say where it is mounted: it is asked which of the words of the rules it answers to. */
function mountsOf(app: Express): Map<unknown, string> {
  const found = new Map<unknown, string>()
  const look = (layers: readonly Layer[]): void => {
    for (const layer of layers)
      if (layer.handle?.stack && !layer.route) {
        found.set(layer.handle, PLACES.find((p) => layer.match?.(p)?.path === p) ?? '')
        look(layer.handle.stack as readonly Layer[])
      }
  }
  look((app as unknown as { router: { stack: Layer[] } }).router.stack)
  return found
}
const PLACES = ['/api', ...new Set(Object.keys(RULES).map((r) => `/${r.split('/')[2]!.replace(/ .*/, '')}`))]

/** What a route wants before it asks who is there. */
const BODIES: Readonly<Record<string, object>> = { 'PUT /api/access/passphrases': { current: MAKER } }

async function answerTo(route: string, who: 'nobody' | 'viewer' | 'maker'): Promise<Answer> {
  const [method, path] = route.split(' ') as [string, string]
  const res = await fetch(at() + path.replaceAll(/:\w+/g, 'none'), {
    method,
    headers: {
      'x-page': 'p',
      ...(who === 'nobody' ? {} : { cookie: cookies[who] }),
      ...(method === 'GET' ? {} : { 'content-type': 'application/json' }),
    },
    ...(method === 'GET' ? {} : { body: JSON.stringify(BODIES[route] ?? {}) }),
  })
  void res.body?.cancel()
  return res.status === 401 && !route.endsWith('/in') ? 'signs in' : res.status === 403 ? 'may not' : 'may'
}

it('every route of the server has a rule, and no rule is for a route that is not there', () => {
  expect(routes.toSorted()).toEqual(Object.keys(RULES).toSorted())
})

it.each(Object.entries(RULES))('%s', async (route, rule) => {
  // Signing out and changing who may come in end the sessions the others want.
  const who = route === 'POST /api/access/out' ? (['nobody'] as const) : (['nobody', 'viewer', 'maker'] as const)
  for (const one of who) expect([one, await answerTo(route, one)]).toEqual([one, rule[one]])
})
