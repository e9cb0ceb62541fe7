import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { ElementHandle } from 'puppeteer-core'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { EPUB, zip } from '../support/bookFiles'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { A_PICTURE } from '../support/keptFiles'
import { aServer } from '../support/server'
import type { Running } from '../support/server'
import { aFolder } from '../support/world'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

function aFile(name: string, content: string | Uint8Array): string {
  const path = join(aFolder(), name)
  writeFileSync(path, content)
  return path
}
/** Chooses a file where a button asks for one. */
async function choose(p: Person, within: string, path: string): Promise<void> {
  await p.has(`${within} [data-hook="choose-file"]:not([disabled])`)
  await p.choosesFiles(() => p.tap(`${within} [data-hook="choose-file"]`), [path])
}

describe('a textbook in a file', () => {
  it('is looked at, stands on the shelf with its chapters, and is taken back', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    const input = await p.page.waitForSelector('input[type="file"]')
    await (input as ElementHandle<HTMLInputElement>).uploadFile(aFile('snow.epub', zip(EPUB)))
    await p.sees('Would be taken over: a textbook of 3 lessons, 3 texts')
    await p.seesIn('[data-hook="row-counts"]', '1 left out, 1 taken in part, 2 taken')
    await p.page.locator('[data-hook="found-outline"] button').click()
    await p.sees('How it lies')
    await p.isAccessible()
    await p.click('take-over')
    await p.sees('Taken over: a textbook of 3 lessons, 3 texts')
    await p.go('/shelf')
    await p.seesIn('[data-hook="outline"]', 'Snow and Ice')
    await p.tap('::-p-text(1 Snow)')
    await p.tap('[data-hook="piece"] ::-p-text(How it falls)')
    await p.seesIn('[data-hook="inside"]', 'Flakes grow')
    await p.isAccessible()
    await p.go('/shelf-files')
    await p.click('take-back')
    await p.sees('is taken back')
    await p.go('/shelf')
    await p.has('[data-hook="outline"]')
    expect(await p.text('[data-hook="outline"]')).not.toContain('Snow and Ice')
    p.isQuiet()
  })
})

/** Writes a project with a sheet and a picture, and publishes it. */
async function publishesProject(teacher: Person): Promise<void> {
  await teacher.fill('[name="title"]', 'A bridge of paper')
  await teacher.choose('[data-hook="piece-kind"]', 'Project')
  await choose(teacher, '[data-hook="piece-files-form"]', aFile('plan.pdf', '%PDF-1.7\n%%EOF'))
  await teacher.seesIn('[data-hook="piece-files-form"]', 'plan.pdf')
  await choose(teacher, '[data-hook="piece-files-form"]', aFile('evil.svg', '<svg onload="x()"/>'))
  await teacher.seesIn('[data-hook="piece-files-form"]', '“evil.svg” is not kept')
  await teacher.fill('[name="content"]', 'Build it.')
  for (const words of ['a bridge', 'the same from above']) {
    await teacher.click('picture')
    await choose(teacher, '[data-hook="picture-form"]', aFile('bridge.png', Buffer.from(A_PICTURE, 'base64')))
    await teacher.has('[data-hook="picture-form"] img')
    await teacher.fill('[name="picture-words"]', words)
    await teacher.isAccessible()
    await teacher.click('put-in')
    await teacher.has('[data-hook="picture"]')
  }
  await teacher.click('text-seen')
  await teacher.has('[data-hook="text-as-seen"] img[alt="the same from above"]')
  await teacher.click('save-piece')
  await teacher.has('[data-hook="inside"] img[alt="a bridge"]')
  await teacher.choose('[data-hook="for-class"]', 'For Science 8 A')
  await teacher.click('assign')
  await teacher.sees('Last look')
  await teacher.click('publish')
  await teacher.sees('Published to')
}

describe('a project', () => {
  it('has a picture and a sheet; files are handed in, taken back, and seen by the teacher', async () => {
    const teacher = await demoPerson(server, 'imani', '/shelf-own')
    await publishesProject(teacher)
    const learner = await demoPerson(server, 'noa', '/learn', { width: 390, height: 844 })
    await learner.tap('::-p-text(A bridge of paper)')
    await learner.has('main img[alt="a bridge"]')
    await learner.seesIn('[data-hook="piece-files"]', 'plan.pdf')
    for (const _ of ['once', 'and again']) {
      await choose(
        learner,
        '[data-hook="handed-files"]',
        aFile('photo.png', Buffer.from(A_PICTURE, 'base64')),
      )
      await learner.seesIn('[data-hook="handed-files"]', 'is handed in')
      await learner.tap('[data-hook="file-goes"]')
      await learner.seesIn('[data-hook="handed-files"]', 'is taken back')
    }
    await choose(learner, '[data-hook="handed-files"]', aFile('page.html', '<script>x()</script>'))
    await learner.seesIn('[data-hook="handed-files"]', '“page.html” is not kept')
    await choose(learner, '[data-hook="handed-files"]', aFile('notes.txt', 'It held 200 g.'))
    await learner.seesIn('[data-hook="handed-files"]', 'notes.txt')
    await learner.fits()
    await learner.isAccessible()
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.seesIn('[data-hook="handed-files"]', 'notes.txt')
    learner.isQuiet()

    await teacher.go('/evidence')
    await teacher.page.locator('[data-hook="column"] ::-p-text(A bridge of paper)').click()
    await teacher.seesIn('[data-hook="files-in"]', 'notes.txt')
    await teacher.isAccessible()
    teacher.isQuiet()
  })
})

describe('questions of several banks', () => {
  it('are picked one by one, survive a reload, and become a check', async () => {
    const p = await demoPerson(server, 'imani', '/shelf?piece=piece-wav204')
    await p.click('with-answers')
    for (const hook of ['pick-1', 'pick-2', 'pick-2', 'pick-3']) await p.tap(`[data-hook="${hook}"]`)
    await p.seesIn('[data-hook="picked-bar"]', '2 questions picked')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.go('/shelf?piece=piece-vib204')
    await p.click('with-answers')
    await p.tap('[data-hook="pick-2"]')
    await p.isAccessible()
    await p.click('build-picked')
    await p.seesIn('[data-hook="picked-check"]', '3 questions out of 2 banks')
    await p.isAccessible()
    await p.tap('[aria-label="Leave it out: question 1"]')
    await p.seesIn('[data-hook="drawn"]', '2 items')
    await p.fill('[name="check-title"]', 'From two banks')
    await p.click('keep-check')
    await p.seesIn('[data-hook="inside"]', 'From two banks')
    expect(await p.page.$('[data-hook="picked-bar"]')).toBeNull()
    p.isQuiet()
  })
})

describe('a piece that was changed after it was given out', () => {
  it('says what differs from its former form, on the shelf and where it is given', async () => {
    const p = await demoPerson(server, 'imani', '/work')
    await p.page.locator('::-p-aria([name="Looking back: density"][role="link"])').click()
    await p.has('[data-hook="what-changed"]')
    await p.page.locator('[data-hook="what-changed"] summary').click()
    await p.seesIn('[data-hook="difference"]', 'Text')
    await p.isAccessible()
    await p.go('/shelf')
    await p.page.locator('::-p-text(What floats in our tank)').click()
    for (const shown of [1, 0, 1]) {
      await p.click('former-form')
      await p.page.waitForFunction(
        (n) => document.querySelectorAll('[data-hook="difference"]').length === n,
        {},
        shown,
      )
    }
    await p.isAccessible()
    p.isQuiet()
  })
})
