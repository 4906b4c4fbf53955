import { jobOf } from '../core/job/index.ts'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { CHROMIUM } from '../scripts/chromium.mjs'
import { benchJob } from '../core/testing/jobs.ts'
import { printTable } from './table.ts'

/** The built page in headless Chromium: time until a job can be worked on, and the work of one keystroke. */
export async function benchPage(root: string): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-page-'))
  const server = spawn(process.execPath, ['dist/server/main.js'], {
    cwd: root,
    env: { ...process.env, DATABASE_FILE: path.join(folder, 'bench.db'), PORT: '4391', LOG_LEVEL: 'silent', DEMO: '1' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const browser = await chromium.launch(CHROMIUM)
  try {
    await new Promise((resolve, reject) => {
      server.stdout.once('data', resolve)
      server.once('exit', () => reject(new Error('the built server did not start: run npm run build first')))
    })
    const job = jobOf(benchJob({ width: 7400, count: 10, gapMm: 0 }))
    const made = (await (
      await fetch('http://127.0.0.1:4391/api/jobs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ job, reason: 'bench' }),
      })
    ).json()) as { id?: string }
    if (!made.id) throw new Error(`the server did not take the job: ${JSON.stringify(made)}`)
    const opened: number[] = []
    const keys: number[] = []
    const drags: number[] = []
    for (let i = 0; i < 5; i++) {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
      const started = performance.now()
      await page.goto(`http://127.0.0.1:4391/jobs/${made.id}/measure`)
      await page.getByRole('textbox', { name: 'Thickness' }).waitFor()
      opened.push(performance.now() - started)
      keys.push(...(await keystrokes(page, 'Depth', 450)))
      drags.push(...(await dragging(page)))
      await page.context().close()
    }
    const ofTickets = await onTickets(browser, ['SL-01', 'SL-07'])
    const ms = (values: number[], q: number) =>
      `${values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))]!.toFixed(1)} ms`
    process.stdout.write('Page, built, headless Chromium, a job of 10 cushions\n')
    printTable(
      ['what', 'median', 'worst'],
      [
        ['opened until its fields can be typed in', ms(opened, 0.5), ms(opened, 1)],
        ['work of a keystroke in a dimension', ms(keys, 0.5), ms(keys, 1)],
        ['work of a frame while a corner is dragged', ms(drags, 0.5), ms(drags, 1)],
        ...ofTickets.map(([ticket, times]) => [`work of a keystroke on ${ticket}`, ms(times, 0.5), ms(times, 1)]),
      ],
    )
  } finally {
    await browser.close()
    server.kill('SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Keystrokes in the thickness of tickets of the demo: a round bench in five, twelve kneelers on a check. */
async function onTickets(
  browser: Browser,
  tickets: readonly string[],
): Promise<readonly (readonly [string, number[]])[]> {
  const jobs = (await (await fetch('http://127.0.0.1:4391/api/jobs')).json()) as { id: string; ticket: string }[]
  const all: (readonly [string, number[]])[] = []
  for (const ticket of tickets) {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
    await page.goto(`http://127.0.0.1:4391/jobs/${jobs.find((j) => j.ticket === ticket)!.id}/measure`)
    await page.getByRole('textbox', { name: 'Thickness' }).first().waitFor()
    all.push([ticket, await keystrokes(page, 'Thickness', 80)])
    await page.context().close()
  }
  return all
}

/**
 * Main-thread milliseconds of 20 different lengths typed: the longest of the tasks that a keystroke makes, from its event
 * until what follows from it is planned and drawn.
 */
const keystrokes = (page: Page, label: string, from: number): Promise<number[]> =>
  page.evaluate(
    async ([name, least]) => {
      const field = [...document.querySelectorAll('input')].find((i) => i.getAttribute('aria-label')?.startsWith(name))!
      field.focus()
      const times: number[] = []
      for (let i = 0; i < 20; i++) {
        field.value = String(least + i)
        let longest = 0
        const started = performance.now()
        let before = started
        field.dispatchEvent(new Event('input', { bubbles: true }))
        while (before - started < 160) {
          const { port1, port2 } = new MessageChannel()
          await new Promise((resolve) => {
            port1.onmessage = resolve
            port2.postMessage(null)
          })
          longest = Math.max(longest, performance.now() - before)
          before = performance.now()
        }
        times.push(longest)
      }
      return times
    },
    [label, from] as const,
  )

/** Main-thread milliseconds of the frames in which a dragged corner moves: plan, drawing and warnings anew. */
const dragging = (page: Page): Promise<number[]> =>
  page.evaluate(async () => {
    const handle = document.querySelector('[data-handle="corner far right"]')!
    const box = handle.getBoundingClientRect()
    handle.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: box.x + 8, clientY: box.y + 8 }))
    const times: number[] = []
    for (let i = 3; i < 23; i++) {
      await new Promise<void>((resolve) => {
        let started = 0
        requestAnimationFrame(() => (started = performance.now()))
        window.dispatchEvent(new PointerEvent('pointermove', { clientX: box.x + 8 + i * 2, clientY: box.y + 8 - i }))
        requestAnimationFrame(() => {
          times.push(performance.now() - started)
          resolve()
        })
      })
    }
    window.dispatchEvent(new PointerEvent('pointerup'))
    return times
  })
