/// <reference lib="dom" />
import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
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
    return [
      {
        what: 'desk, 8 classes × 42 weeks, first paint',
        medianMs: median(paints),
        bar: 'under 1 s',
        note: `${stones} stones; slowest of ${ROUNDS}: ${Math.max(...paints).toFixed(0)} ms`,
      },
      {
        what: 'a key press to the moved stones',
        medianMs: median(keys),
        bar: 'under 100 ms',
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
