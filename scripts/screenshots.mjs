import { mkdirSync } from 'node:fs'
import { browser } from './steps/browser.mjs'
import { built } from './steps/built.mjs'
import { DEMO_NOW, demoDatabase } from './steps/demoData.mjs'
import { installed } from './steps/installed.mjs'
import { ROOT } from './steps/run.mjs'
import { freePort, keptSecret, serve } from './steps/serve.mjs'

// npm run screenshots: one picture of each main view from fresh demo data, 1280 × 800
await installed()
await built()
const executablePath = await browser()
const { default: puppeteer } = await import('puppeteer-core')
const database = `${ROOT}.tmp/screenshots.db`
await demoDatabase(database, { fresh: true })
const { child, address } = await serve({
  port: await freePort(4700, false),
  quiet: true,
  env: { STEP_CAIRN_DATABASE: database, STEP_CAIRN_SECRET: keptSecret(), STEP_CAIRN_DEMO_NOW: DEMO_NOW },
})
const chromium = await puppeteer.launch({
  executablePath,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
const OUT = `${ROOT}docs/screenshots`
mkdirSync(OUT, { recursive: true })

/** A page of its own, signed in as a person of the demo. */
async function as(person, { width = 1280, height = 800, dark = false } = {}) {
  const page = await (await chromium.createBrowserContext()).newPage()
  await page.setViewport({ width, height })
  if (dark) await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }])
  await page.goto(`${address}/sign-in`, { waitUntil: 'networkidle0' })
  if (person) {
    await page.locator(`[data-hook="demo-${person}"]`).click()
    await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'))
  }
  return page
}
const take = async (page, name) => {
  await page.evaluate(async () => {
    await document.fonts.ready
    await Promise.all(document.getAnimations().map((a) => a.finished.catch(() => undefined)))
  })
  await page.screenshot({ path: `${OUT}/${name}.png` })
}
const go = (page, path) => page.goto(address + path, { waitUntil: 'networkidle0' })

try {
  const teacher = await as('imani')
  await go(teacher, '/pace')
  await teacher.waitForSelector('button.selected')
  await take(teacher, 'desk')
  await teacher.locator('[data-hook="announce"]').click()
  await teacher.locator('[data-hook="look-note"]').click()
  await teacher.waitForSelector('[data-hook="ripple-detail"]')
  await teacher.locator('[data-hook="ripple"] tbody tr:nth-child(4) td:nth-child(4) button').click()
  await take(teacher, 'ripple')
  await teacher.locator('[data-hook="drop-ripple"]').click()
  await go(teacher, '/pace/week?on=2026-10-26')
  await teacher.waitForSelector('[data-hook="needs-you"] li')
  await take(teacher, 'week')
  await go(teacher, '/pace/series')
  await teacher.locator('::-p-text(Science 8 C)').click()
  await teacher.waitForSelector('[data-hook="series-row-4"]')
  await take(teacher, 'series')
  await teacher.evaluate(async () => {
    const pieces = ['203', '303', '403', '503'].map((n) => `piece-lgt${n}`)
    const body = JSON.stringify({ kind: 'put-in', pieces })
    await fetch('/api/tray', { method: 'POST', headers: { 'content-type': 'application/json' }, body })
  })
  await teacher.locator('[data-hook="undo"]').click()
  await teacher.waitForSelector('.stone.held', { hidden: true })
  await go(teacher, '/pace/charts')
  await teacher.waitForSelector('[data-hook="chances"]')
  await teacher.$eval('header [aria-pressed]:nth-child(3)', (button) => button.click())
  await teacher.waitForFunction(
    () =>
      document.querySelector('#fc-h')?.textContent?.includes('8 C') &&
      document.querySelector('[data-hook="chances"]'),
  )
  // four charts are drawn; the network is never idle, since the worker's request is not told as finished
  await teacher.waitForFunction(() => document.querySelectorAll('main section svg').length >= 4)
  await take(teacher, 'charts')
  await go(teacher, '/classes/plans')
  await teacher.locator('[data-hook="edit-plan"][aria-label*="Waves"]').click()
  await teacher.locator('[data-hook="row-W2.7"]').click()
  await teacher.waitForSelector('[data-hook="plan-fields"]')
  await take(teacher, 'plan')
  await go(teacher, '/shelf?piece=piece-wav204')
  await teacher.waitForSelector('[data-hook="with-answers"]')
  await take(teacher, 'shelf')
  await go(teacher, '/work/new?piece=piece-wav401,piece-wav402')
  await teacher.locator('[data-hook="all-offered"]').click()
  await teacher.locator('[data-hook="slip"]:first-child [data-hook="when-before"]').click()
  await teacher.waitForSelector('[data-hook="own-moments"]')
  await teacher.waitForSelector('[data-hook="last-look"]')
  await take(teacher, 'assigning')
  await go(teacher, '/work')
  await teacher.waitForSelector('[data-hook="need-open"]')
  await take(teacher, 'work')
  await go(teacher, '/evidence')
  await teacher.locator('[data-hook="column"]').click()
  await teacher.waitForSelector('[data-hook="items"] li')
  await take(teacher, 'evidence')
  await teacher.locator('[data-hook="to-discussion"]').click()
  await teacher.waitForSelector('[data-hook="talk"]')
  await teacher.keyboard.press('ArrowRight')
  await teacher.keyboard.press('ArrowRight')
  await take(teacher, 'discussion')
  await go(teacher, '/evidence/standards?standard=TH.8.W.3')
  await teacher.waitForSelector('[data-hook="fitting"]')
  await take(teacher, 'standards')
  await go(teacher, '/evidence')
  await teacher.locator('[data-hook="to-follow-up"]').click()
  await teacher.waitForSelector('[data-hook="proposal"]')
  await take(teacher, 'follow-up')
  await go(teacher, '/evidence')
  await teacher.locator('::-p-text(Science 7 E)').click()
  await teacher.locator('[data-hook="column"][title*="the floating ship"]').click()
  await teacher.locator('[data-hook="to-queue"]').click()
  await teacher.locator('[data-hook="queue-stone"]:nth-child(4)').click()
  await teacher.waitForSelector('[data-hook="score-sheet"] [aria-pressed="true"]')
  await take(teacher, 'scoring')
  await go(teacher, '/classes')
  await teacher.locator('[data-hook="classes"] ::-p-text(Science 7 E)').click()
  await teacher.locator('[data-hook="to-trails"]').click()
  await teacher.waitForSelector('[data-hook="trail-sheet"] polyline')
  await take(teacher, 'trails')
  await go(teacher, '/shelf-versions?piece=piece-pro402&show=guided')
  await teacher.waitForSelector('[data-hook="fill-in"]')
  await take(teacher, 'version')
  const learnerId = await teacher.evaluate(async () => {
    const { classes } = await (await fetch('/api/recipients')).json()
    return classes[0].learners.find((l) => l.name.startsWith('Noa')).id
  })
  await go(teacher, `/lens?learner=${learnerId}`)
  await teacher.waitForSelector('[data-hook="lens-why"] li')
  await take(teacher, 'lens')
  const learner = await as('noa')
  await learner.waitForSelector('[data-hook="work-now"]')
  await take(learner, 'learner-list')
  await learner.locator('[data-hook="work-now"][data-steps="1"]').click()
  await learner.locator('[data-hook="start"]').click()
  await learner.waitForSelector('fieldset label')
  await learner.locator('fieldset label').click()
  await learner.waitForFunction(() =>
    document.querySelector('[data-hook="saved"]')?.textContent?.startsWith('saved'),
  )
  await take(learner, 'learner-check')
  process.stdout.write(`Pictures are in ${OUT}\n`)
} finally {
  await chromium.close()
  child.kill()
}
