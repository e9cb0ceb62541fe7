import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { fileURLToPath } from 'node:url'
import puppeteer from 'puppeteer-core'
import type { Browser, Page } from 'puppeteer-core'
import { afterAll, afterEach, beforeAll, expect } from 'vitest'
import { DEMO_PASSWORD } from '#shared/demoPeople'
import type { Running } from './server'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const FAILED = fileURLToPath(new URL('../../.tmp/failed/', import.meta.url))
const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-dev-shm-usage',
]

export interface Visit {
  readonly page: Page
  readonly said: string[]
}
const visits: Visit[] = []
let browser: Browser

/** Starts Chromium for the tests of a file; a failing test leaves pictures and the console in .tmp/failed. */
export function withBrowser(): void {
  beforeAll(async () => {
    browser = await puppeteer.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ARGS,
    })
  })
  afterEach(async (context) => {
    if (context.task.result?.state === 'fail') await keepPictures(context.task.name)
    for (const { page } of visits.splice(0)) await page.browserContext().close()
  })
  afterAll(() => browser.close())
}

async function keepPictures(name: string): Promise<void> {
  mkdirSync(FAILED, { recursive: true })
  for (const [i, { page, said }] of visits.entries()) {
    const file = `${FAILED}${name.replace(/\W+/g, '-').slice(0, 60)}-${i}`
    await page.screenshot({ path: `${file}.png` }).catch(() => undefined)
    writeFileSync(`${file}.txt`, `${page.url()}\n${said.join('\n')}\n`)
  }
}

/** A person of their own at a fresh browser, looking at an address. */
export async function visit(
  server: Running,
  path = '/',
  size: { readonly width: number; readonly height: number } = { width: 1280, height: 800 },
  opts: { readonly withWorker?: boolean } = {},
): Promise<Person> {
  const context = await browser.createBrowserContext()
  const page = await context.newPage()
  await page.setViewport(size)
  // with a worker of the browser, puppeteer never takes the network for quiet
  if (!opts.withWorker)
    await page.evaluateOnNewDocument(
      () => delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker,
    )
  const said: string[] = []
  page.on('console', (message) => said.push(`${message.type()}: ${message.text()}`))
  page.on('pageerror', (error) =>
    said.push(`error: ${error instanceof Error ? error.message : String(error)}`),
  )
  visits.push({ page, said })
  await page.goto(server.address + path, { waitUntil: 'networkidle0' })
  return new Person(page, said, server)
}

/** Does what a person does: looks for words, clicks, types. */
export class Person {
  constructor(
    readonly page: Page,
    readonly said: readonly string[],
    readonly server: Running,
  ) {}

  async go(path: string): Promise<void> {
    await this.page.goto(this.server.address + path, { waitUntil: 'networkidle0' })
  }
  /** Clicks the element with this hook. */
  async click(hook: string): Promise<void> {
    await this.page.locator(`[data-hook="${hook}"]`).click()
  }
  /** Leaves a change that is looked at, once its ways out are there: until then its panel grows under the mouse. */
  async dropRipple(): Promise<void> {
    await this.has('[data-hook="apply-ripple"]:not([disabled])')
    await this.click('drop-ripple')
  }
  /** Clicks a button, link or label by its words. */
  async press(words: string): Promise<void> {
    await this.page.locator(`::-p-aria([name="${words}"])`).click()
  }
  /** Clicks what matches, scrolled to the middle first: what stays at the foot of the page may cover it. */
  async tap(selector: string): Promise<void> {
    const found = await this.page.waitForSelector(selector)
    await found?.evaluate((e) => e.scrollIntoView({ block: 'center' }))
    await this.page.locator(selector).click()
  }
  /** Picks an option of a list, and waits until the list is closed and has given the focus back. */
  async choose(list: string, option: string): Promise<void> {
    await this.page.locator(list).click()
    await this.page.locator(`::-p-aria([name="${option}"][role="option"])`).click()
    await this.page.waitForFunction(
      (s) =>
        !document.querySelector('[role="listbox"]') && document.activeElement === document.querySelector(s),
      {},
      list,
    )
    // the list gives the focus back once more after its closing frame
    await this.page.evaluate(
      () =>
        new Promise((resolve) =>
          requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(resolve))),
        ),
    )
  }
  async fill(selector: string, value: string): Promise<void> {
    await this.page.locator(selector).fill(value)
  }
  /** Waits until the words stand on the page. */
  async sees(words: string): Promise<void> {
    await this.page
      .waitForFunction(
        (w) => document.body.innerText.replace(/\s+/g, ' ').includes(w),
        { timeout: 45_000 },
        words,
      )
      .catch(async () => {
        throw new Error(`“${words}” is not to be seen. The page says: ${(await this.text()).slice(0, 1500)}`)
      })
  }
  /** Waits until the words stand in one part of the page. */
  async seesIn(selector: string, words: string): Promise<void> {
    await this.page.waitForFunction(
      (s, w) => (document.querySelector(s) as HTMLElement | null)?.innerText.replace(/\s+/g, ' ').includes(w),
      {},
      selector,
      words,
    )
  }
  async text(selector = 'body'): Promise<string> {
    return this.page.$eval(selector, (e) => (e as HTMLElement).innerText.replace(/\s+/g, ' '))
  }
  async has(selector: string): Promise<void> {
    await this.page.waitForSelector(selector, { timeout: 45_000 })
  }
  async keys(...keys: string[]): Promise<void> {
    for (const key of keys) {
      const parts = key.split('+').filter(Boolean)
      const last = key.endsWith('+') ? '+' : (parts.pop() ?? '')
      for (const held of parts) await this.page.keyboard.down(held as 'Shift')
      await this.page.keyboard.press(last as 'Enter')
      for (const held of parts.reverse()) await this.page.keyboard.up(held as 'Shift')
    }
  }
  /** Hands files to the dialog that an act opens. The browser has to know beforehand that it is not to show it. */
  async choosesFiles(act: () => Promise<void>, paths: string[]): Promise<void> {
    const asked = this.page.waitForFileChooser()
    await this.page.evaluate(() => document.readyState)
    const [chooser] = await Promise.all([asked, act()])
    await chooser.accept(paths)
  }
  /** What has the focus: its accessible name. */
  async focused(): Promise<string> {
    return this.page.evaluate(
      () =>
        document.activeElement?.getAttribute('aria-label') ??
        (document.activeElement as HTMLElement | null)?.innerText ??
        '',
    )
  }
  /** Ends what moves or fades: a colour on its way to another is no colour of ours. */
  async isStill(): Promise<void> {
    await this.page.evaluate(async () => {
      const moving = () =>
        document
          .getAnimations()
          .filter((a) => a.playState === 'running' && Number.isFinite(a.effect?.getComputedTiming().endTime))
      for (let quiet = 0; quiet < 3; quiet = moving().length > 0 ? 0 : quiet + 1) {
        for (const animation of moving()) animation.finish()
        await new Promise(requestAnimationFrame)
      }
    })
  }
  /** Runs axe; nothing may be found. Another scheme of colours changes nothing but colours. */
  async isAccessible(only: 'all' | 'colours' = 'all'): Promise<void> {
    await this.isStill()
    await this.page.evaluate(AXE)
    const found = await this.page.evaluate(
      async (rules) => {
        const { violations } = await (
          window as unknown as {
            axe: {
              run: (options: object) => Promise<{
                violations: { id: string; nodes: { html: string; failureSummary: string }[] }[]
              }>
            }
          }
        ).axe.run({ resultTypes: ['violations'], ...(rules ? { runOnly: rules } : {}) })
        return violations.map(
          (v) =>
            `${v.id}: ${v.nodes
              .slice(0, 3)
              .map((n) => `${n.html.slice(0, 160)} ${n.failureSummary.split('\n').slice(1, 3).join(' ')}`)
              .join(' | ')}`,
        )
      },
      only === 'colours' ? ['color-contrast', 'link-in-text-block'] : null,
    )
    expect(found, await this.page.title()).toEqual([])
  }
  /** Nothing went wrong in the console; a request that was refused (4xx) is an answer like any other. */
  isQuiet(): void {
    expect(this.said.filter((s) => /^error/.test(s) && !/responded with a status of 4\d\d/.test(s))).toEqual(
      [],
    )
  }
  /** The page does not scroll sideways. */
  async fits(): Promise<void> {
    // teachers' pages scroll within their main part
    const over = await this.page.evaluate(() =>
      Math.max(
        ...[document.documentElement, ...Array.from(document.querySelectorAll('main'))].map(
          (e) => e.scrollWidth - e.clientWidth,
        ),
      ),
    )
    expect(over, `${this.page.url()} is ${over} px too wide`).toBeLessThanOrEqual(0)
  }
}

/** Somebody of the demo, signed in with one click. */
export async function demoPerson(
  server: Running,
  signIn: string,
  path = '/',
  size?: { readonly width: number; readonly height: number },
): Promise<Person> {
  if (path === '/') {
    const person = await visit(server, '/sign-in', size)
    await person.click(`demo-${signIn}`)
    await person.page.waitForFunction(() => !location.pathname.startsWith('/sign-in'))
    return person
  }
  // straight to the page: one that is left while it loads never becomes quiet for puppeteer
  const person = await visit(server, '/cairn.svg', size)
  const isIn = await person.page.evaluate(
    async (name, password) => {
      const headers = { 'content-type': 'application/json' }
      const body = JSON.stringify({ signIn: name, password })
      return (await fetch('/api/sign-in', { method: 'POST', headers, body })).ok
    },
    signIn,
    DEMO_PASSWORD,
  )
  expect(isIn, `${signIn} signs in`).toBe(true)
  await person.go(path)
  return person
}
