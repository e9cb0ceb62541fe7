/// <reference lib="dom" />
import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:http'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import puppeteer from 'puppeteer-core'
import type { Page } from 'puppeteer-core'
import { DEMO_NOW } from '#demo/scenario'
import { DEMO_PASSWORD } from '#shared/demoPeople'
import type { Overview } from '#shared/contracts/teaching'
import { browser } from '../scripts/steps/browser.mjs'
import { built } from '../scripts/steps/built.mjs'
import { demoDatabase } from '../scripts/steps/demoData.mjs'
import { freePort, serve } from '../scripts/steps/serve.mjs'
import type { Line } from './measure'

const ROUNDS = 9
const median = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0

/** The teacher's eight classes: the demo's five and three more on their plans. */
async function threeMore(address: string): Promise<void> {
  const signedIn = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ signIn: 'imani', password: DEMO_PASSWORD }),
  })
  const cookie = signedIn.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ')
  const call = async <T>(path: string, body?: unknown): Promise<T> =>
    (
      await fetch(address + path, {
        method: body ? 'POST' : 'GET',
        headers: { cookie, 'content-type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      })
    ).json() as Promise<T>
  const { years, plans } = await call<Overview>('/api/overview')
  for (const [i, label] of ['A', 'B', 'A'].entries()) {
    const made = await call<{ readonly classId: string }>('/api/classes', {
      yearId: years[0]?.year.id,
      name: `Science 8 ${'FGH'[i]}`,
      shortName: `8 ${'FGH'[i]}`,
      course: 'Science 8',
      pattern: [{ day: { label }, startMinute: 700 + i * 90, minutes: 80 }],
    })
    await call(`/api/plans/${plans.find((p) => p.course === 'Science 8')?.id}/lay`, {
      classIds: [made.classId],
    })
  }
}

/**
 * From opening the address to this week's stones of all classes on the screen, scrolled to, and painted, in
 * milliseconds.
 */
async function paint(page: Page, address: string): Promise<number> {
  await page.goto(`${address}/pace`, { waitUntil: 'domcontentloaded' })
  // as text, since the names that a build adds are not known in the page
  return page.evaluate(`new Promise((resolve) => {
    const shown = () => {
      const cells = [...document.querySelectorAll('.row.current .cell')]
      const inSight = (c) => c.getBoundingClientRect().top < innerHeight && c.getBoundingClientRect().top > 0
      return cells.length === 8 && cells.every((c) => c.querySelector('.stretch') && inSight(c))
    }
    const painted = () => requestAnimationFrame(() => setTimeout(() => resolve(performance.now())))
    const look = () => (shown() ? painted() : requestAnimationFrame(look))
    look()
  })`) as Promise<number>
}

/** The boxes and words that the desk has on the screen, as a page of nothing but static HTML. */
async function asStatic(page: Page): Promise<string> {
  const boxes =
    (await page.evaluate(`[...document.querySelectorAll('.desk *, header *, nav *')].flatMap((e) => {
    const box = e.getBoundingClientRect()
    if (box.width === 0 || box.height === 0) return []
    const style = getComputedStyle(e)
    const words = [...e.childNodes].filter((n) => n.nodeType === 3).map((n) => n.textContent.trim()).join(' ')
    const where = 'left:' + box.left + 'px;top:' + (box.top + scrollY) + 'px;width:' + box.width + 'px;height:' +
      box.height + 'px'
    const look = 'background:' + style.background + ';border:' + style.border + ';color:' + style.color +
      ';font:' + style.font + ';border-radius:' + style.borderRadius
    return ['<div style="position:absolute;overflow:hidden;' + (where + ';' + look).replace(/"/g, "'") + '">' +
      words.replace(/</g, '&lt;') + '</div>']
  }).join('')`)) as string
  return `<!doctype html><html lang="en"><title>Floor</title><body style="margin:0">${boxes}</body></html>`
}

/** From opening a bare page to its boxes painted, in milliseconds. */
async function paintStatic(page: Page, address: string): Promise<number> {
  await page.goto(address, { waitUntil: 'domcontentloaded' })
  return page.evaluate(
    'new Promise((resolve) => requestAnimationFrame(() => setTimeout(() => resolve(performance.now()))))',
  ) as Promise<number>
}

/** Serves one page on loopback. */
async function serving(html: string): Promise<{ readonly address: string; readonly server: Server }> {
  const server = createServer((_, reply) => reply.setHeader('content-type', 'text/html').end(html))
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return { address: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`, server }
}

/** From a key press to the moved stones on the screen, in milliseconds. */
async function keyToStone(page: Page): Promise<number> {
  await page.focus('button.selected')
  await page.evaluate(`window.took = new Promise((resolve) => {
    window.addEventListener('keydown', () => {
      const start = performance.now()
      const painted = () => setTimeout(() => resolve(performance.now() - start))
      const look = () => (document.querySelector('button.ghost') ? painted() : requestAnimationFrame(look))
      requestAnimationFrame(look)
    }, { once: true, capture: true })
  }); 0`)
  await page.keyboard.press('+')
  const took = (await page.evaluate('window.took')) as number
  await page.keyboard.press('Escape')
  await page.waitForFunction(() => !document.querySelector('button.ghost'))
  return took
}

/** All weeks are drawn, and the browser has nothing else to do. */
async function atRest(page: Page): Promise<void> {
  await page.waitForSelector('button.selected')
  await page.waitForFunction(() =>
    Array.from(document.querySelectorAll('.desk .row:not(.head)')).every((row) =>
      row.querySelector('.cell, .closed'),
    ),
  )
  await page.evaluate('new Promise(resolve => requestIdleCallback(() => requestIdleCallback(resolve)))')
}

/** The desk in a real browser, with eight classes over the whole year. */
export async function deskBench(): Promise<Line[]> {
  const chromium = await browser()
  await built()
  const demo = join(process.cwd(), '.tmp/tests/demo.db')
  if (!existsSync(demo)) await demoDatabase(demo, { fresh: true })
  const folder = mkdtempSync(join(tmpdir(), 'step-cairn-bench-'))
  copyFileSync(demo, join(folder, 'bench.db'))
  const { child, address } = await serve({
    port: await freePort(4900, false),
    quiet: true,
    env: {
      STEP_CAIRN_DATABASE: join(folder, 'bench.db'),
      STEP_CAIRN_SECRET: 'a secret for measuring only, 32 letters',
      STEP_CAIRN_DEMO_NOW: DEMO_NOW,
    },
  })
  const chrome = await puppeteer.launch({
    executablePath: chromium as string,
    args: ['--no-sandbox', '--disable-gpu'],
    protocolTimeout: 30_000,
  })
  try {
    await threeMore(address)
    const page = await chrome.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await page.goto(`${address}/sign-in`, { waitUntil: 'networkidle0' })
    await page.click('[data-hook="demo-imani"]')
    await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'))
    const [paints, firsts, keys]: [number[], number[], number[]] = [[], [], []]
    for (let i = 0; i < ROUNDS; i++) {
      paints.push(await paint(page, address))
      await atRest(page)
      firsts.push(await keyToStone(page))
      for (let again = 0; again < 3; again++) keys.push(await keyToStone(page))
    }
    const stones = await page.$$eval('.stretch', (list) => list.length)
    const floor = await serving(await asStatic(page))
    const floors: number[] = []
    for (let i = 0; i < ROUNDS; i++) floors.push(await paintStatic(page, floor.address))
    floor.server.close()
    const ratio = median(paints) / median(floors)
    return [
      {
        what: 'desk, 8 classes × 42 weeks, first paint',
        medianMs: median(paints),
        bar: 'at most 2.5× the floor',
        note:
          `${ratio.toFixed(1)}× the floor; ${stones} stones; ` +
          `slowest of ${ROUNDS}: ${Math.max(...paints).toFixed(0)} ms`,
      },
      {
        what: 'floor: the same boxes and words as static HTML',
        medianMs: median(floors),
        bar: 'none',
        note: `slowest of ${ROUNDS}: ${Math.max(...floors).toFixed(0)} ms`,
      },
      {
        what: 'a key press to the moved stones',
        medianMs: median(keys),
        bar: 'under 50 ms',
        note:
          `slowest of ${keys.length}: ${Math.max(...keys).toFixed(0)} ms; the first ` +
          `after loading: ${median(firsts).toFixed(0)} ms`,
      },
    ]
  } finally {
    await chrome.close()
    child.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}
