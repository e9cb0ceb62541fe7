import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { dialogLooksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

const CLASS_8A = '[data-hook="classes"] a::-p-text(Science 8 A)'

/** Opens the page of class 8 A, which has Aroha as its first learner. */
async function classPage(): Promise<Person> {
  const teacher = await demoPerson(server, 'imani', '/classes')
  await teacher.page.locator(CLASS_8A).click()
  await teacher.has('[data-hook="learner-acts"]')
  return teacher
}
async function fromMenu(p: Person, menu: string, entry: string): Promise<void> {
  await p.click(menu)
  await p.page.locator(`::-p-aria([name="${entry}"][role="menuitem"])`).click()
}
const gone = (p: Person) => p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))

/** Asks for a card, reads it, and closes it; the focus is back at the learner. */
async function aCard(teacher: Person): Promise<{ readonly signIn: string; readonly password: string }> {
  await fromMenu(teacher, 'learner-acts', 'New password')
  await teacher.seesIn('[role="dialog"]', 'The present password ends at once')
  await teacher.click('confirm')
  await teacher.has('[data-hook="sign-in-card"]')
  await dialogLooksRight(teacher)
  const signIn = await teacher.text('[data-hook="card-sign-in"]')
  const password = await teacher.text('[data-hook="card-password"]')
  await teacher.click('close-card')
  await gone(teacher)
  await teacher.page.waitForFunction(() => document.activeElement?.matches('[data-hook="learner-acts"]'))
  return { signIn, password }
}

describe('a password that was forgotten', () => {
  it('comes on a card, twice, and is the learner’s own after the first sign-in', async () => {
    const teacher = await classPage()
    const first = await aCard(teacher)
    const second = await aCard(teacher)
    expect(second.signIn).toBe(first.signIn)
    expect(second.password).not.toBe(first.password)
    teacher.isQuiet()

    const learner = await visit(server, '/sign-in', { width: 390, height: 800 })
    await learner.fill('input[autocomplete="username"]', second.signIn)
    await learner.fill('input[autocomplete="current-password"]', second.password)
    await learner.click('sign-in')
    await learner.sees('Choose a password of your own')
    await learner.isAccessible()
    // nothing else is to be had before
    await learner.go('/learn')
    await learner.sees('Choose a password of your own')
    await learner.fill('input[name="current"]', second.password)
    await learner.fill('input[name="next"]', 'seven grey stones')
    await learner.click('change-password')
    await learner.sees('Hello, Aroha')
    await learner.go('/account')
    await learner.click('end-sessions')
    await learner.sees('You are signed out everywhere but here.')
    await learner.go('/learn')
    await learner.sees('Hello, Aroha')
  })
})

describe('an answer given on two pages', () => {
  it('is chosen by the learner, and nothing is overwritten before', async () => {
    const laptop = await demoPerson(server, 'saoirse', '/learn')
    await laptop.page.waitForSelector('a[href^="/learn/"]')
    const href = await laptop.page.$$eval('a[href^="/learn/"]', (links) =>
      links.map((l) => l.getAttribute('href') ?? ''),
    )
    let path = ''
    for (const one of href) {
      await laptop.go(one)
      if (await laptop.page.$('[data-hook="start"], [data-hook="hand-in"]')) path = one
      if (path) break
    }
    expect(path).not.toBe('')
    const start = await laptop.page.$('[data-hook="start"]')
    if (start) await start.click()
    await laptop.has('[data-hook="hand-in"]')
    const phone = await demoPerson(server, 'saoirse', path)
    const continues = await phone.page.$('[data-hook="start"]')
    if (continues) await continues.click()
    await phone.has('[data-hook="hand-in"]')
    const choose = (p: Person, n: number) =>
      p.page.$$eval(
        'fieldset[data-kind="single"]',
        (sets, index) => {
          const input = sets[0]?.querySelectorAll('input')[index]
          input?.click()
        },
        n,
      )
    await choose(laptop, 0)
    await laptop.seesIn('[data-hook="saved"]', 'saved')
    // made from what stood before the laptop's
    await choose(phone, 1)
    await phone.has('[data-hook="two-answers"]')
    await phone.isAccessible()
    await phone.click('keep-mine')
    await phone.page.waitForFunction(() => !document.querySelector('[data-hook="two-answers"]'))
    await phone.seesIn('[data-hook="saved"]', 'saved')
    await choose(laptop, 2)
    await laptop.has('[data-hook="two-answers"]')
    await laptop.click('keep-theirs')
    await laptop.page.waitForFunction(() => !document.querySelector('[data-hook="two-answers"]'))
    await laptop.go(path)
    const again = await laptop.page.$('[data-hook="start"]')
    if (again) await again.click()
    await laptop.has('fieldset[data-kind="single"]')
    const chosen = await laptop.page.$$eval('fieldset[data-kind="single"]', (sets) =>
      [...(sets[0]?.querySelectorAll('input') ?? [])].findIndex((i) => i.checked),
    )
    expect(chosen).toBe(1)
    laptop.isQuiet()
    phone.isQuiet()
  })
})

describe('what is over', () => {
  it('goes into the archive and comes back, twice; a class lets nobody in', async () => {
    const teacher = await classPage()
    for (let time = 1; time <= 2; time++) {
      await fromMenu(teacher, 'joining', 'Let nobody in')
      await teacher.sees('Closed: the code lets nobody in')
      await fromMenu(teacher, 'joining', 'Let learners in')
      await teacher.sees('Joining code for learners')
      await teacher.click('remove-class')
      await teacher.seesIn('[role="dialog"]', 'Remove Science 8 A?')
      await teacher.click('confirm')
      await teacher.sees('Out of use, with everything kept.')
      await teacher.go('/classes')
      await teacher.sees('Out of use, with everything kept.')
      await teacher.isAccessible()
      await teacher.click('bring-back')
      await teacher.page.waitForFunction(() => !document.querySelector('[data-hook="bring-back"]'))
      await teacher.page.locator(CLASS_8A).click()
      await teacher.has('[data-hook="remove-class"]')
    }
    teacher.isQuiet()
  })
})
