import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'
import { TEACHER, shown } from './places'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

/** To the texts of a class that wait to be scored. */
async function toTexts(p: Person): Promise<void> {
  await p.go('/evidence')
  await p.tap('::-p-text(Science 7 E)')
  await p.tap('[data-hook="column"][title*="the floating ship"]')
  await p.click('to-queue')
  await p.has('[data-hook="score-sheet"]')
}

describe.each(['light', 'dark'] as const)('every main view, in %s, has nothing for axe to find', (scheme) => {
  // another scheme of colours changes nothing but colours
  const rules = scheme === 'light' ? 'all' : 'colours'

  it('at the door and in the places of a teacher', async () => {
    const door = await visit(server, '/sign-in')
    await door.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }])
    await door.sees('The demo school')
    await door.isAccessible(rules)
    await door.go('/join')
    await door.isAccessible(rules)
    const teacher = await demoPerson(server, 'imani', '/pace')
    await teacher.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }])
    for (const [path, words] of TEACHER) {
      await teacher.go(path)
      await shown(teacher, words)
      await teacher.isAccessible(rules)
    }
    teacher.isQuiet()
  })

  it('further in, with what opens on the desk', async () => {
    const teacher = await demoPerson(server, 'imani', '/classes')
    await teacher.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }])
    await teacher.page.locator('[data-hook="classes"] a').click()
    await teacher.sees('Joining code')
    await teacher.isAccessible(rules)
    await teacher.go('/classes/plans')
    await teacher.click('edit-plan')
    await teacher.has('[role="option"]')
    await teacher.page.locator('[role="option"]').click()
    await teacher.sees('Not right after a break')
    await teacher.isAccessible(rules)
    await teacher.go('/pace')
    await teacher.click('announce')
    await teacher.sees('The whole school')
    await teacher.isAccessible(rules)
    await teacher.click('look-note')
    await teacher.has('[data-hook="ripple-detail"]')
    await teacher.isAccessible(rules)
    await teacher.dropRipple()
    await teacher.page.locator('.colhead .name').click()
    await teacher.sees('Week of Mon 19 Oct')
    await teacher.isAccessible(rules)
    await teacher.go('/evidence')
    await teacher.click('column')
    await teacher.sees('hardest first')
    await teacher.isAccessible(rules)
    await toTexts(teacher)
    await teacher.isAccessible(rules)
    teacher.isQuiet()
  })

  it('for a learner', async () => {
    const learner = await demoPerson(server, 'saoirse')
    await learner.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }])
    await learner.sees('Now')
    await learner.isAccessible(rules)
    await learner.page.locator('[data-hook="work-now"][data-steps="2"]').click()
    await learner.has('[data-hook="finish"]')
    await learner.isAccessible(rules)
    await learner.go('/learn')
    await learner.page.locator('[data-hook="work-now"][data-steps="1"]').click()
    await learner.has('[data-hook="start"], fieldset')
    await learner.isAccessible(rules)
    if (await learner.page.$('[data-hook="start"]')) await learner.click('start')
    await learner.has('fieldset[data-kind]')
    await learner.isAccessible(rules)
    await learner.go('/learn')
    await learner.click('work-done')
    await learner.sees('My work')
    await learner.isAccessible(rules)
    learner.isQuiet()
  })
})

describe('every main view', () => {
  it('fits a phone of 360 px for learners, without scrolling sideways', async () => {
    const p = await demoPerson(server, 'linh', '/', { width: 360, height: 740 })
    await p.sees('Now')
    await p.fits()
    await p.click('work-now')
    await p.has('[data-hook="start"]')
    await p.fits()
    await p.click('start')
    await p.has('fieldset[data-kind]')
    await p.fits()
    await p.click('hand-in')
    await p.sees('not answered yet')
    await p.fits()
  })

  it.each([
    ['a phone of 390 px', { width: 390, height: 844 }],
    ['a laptop at 200 %', { width: 640, height: 400 }],
  ])('fits %s for teachers', async (_, size) => {
    const p = await demoPerson(server, 'imani', '/pace', size)
    for (const [path, words] of TEACHER) {
      await p.go(path)
      // on a phone the details are a sheet that is asked for
      if (path === '/pace') await p.click('toggle-details')
      await shown(p, words)
      await p.fits()
    }
    await p.go('/classes')
    await p.page.locator('[data-hook="classes"] a').click()
    await p.sees('Joining code')
    await p.fits()
    await p.go('/classes/plans')
    await p.click('edit-plan')
    await p.has('[role="option"]')
    await p.fits()
    await toTexts(p)
    await p.fits()
  })

  it.each([1024, 1280, 1440])('cuts no label on a stone, %i px wide', async (width) => {
    const p = await demoPerson(server, 'imani', '/pace', { width, height: 900 })
    await p.has('button.selected')
    const labels = await p.page.$$eval('button.stone b', (list) =>
      list.map((label) => {
        const stone = label.closest('button')?.getBoundingClientRect()
        const range = document.createRange()
        range.selectNodeContents(label)
        const drawn = label.classList.contains('drawn')
          ? label.getBoundingClientRect()
          : range.getBoundingClientRect()
        return {
          words: label.textContent,
          isCut: !stone || drawn.right > stone.right || drawn.left < stone.left,
        }
      }),
    )
    expect(labels.length).toBeGreaterThan(50)
    expect(labels.filter((l) => l.isCut)).toEqual([])
  })

  it('shows a page of its own at unknown addresses and for what is not one’s own', async () => {
    const p = await demoPerson(server, 'imani', '/nothing/here')
    await p.sees('There is nothing at this address.')
    await p.go('/work/unknown')
    await p.sees('not there, or not yours to see')
    const l = await demoPerson(server, 'noa', '/evidence')
    await l.sees('Hello, Noa')
    await l.go('/learn/unknown')
    await l.sees('not there, or not yours to see')
  })

  it('finds lessons, pieces and places by words', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.keys('Control+k')
    await p.has('[role="dialog"] input')
    await p.page.keyboard.type('pendulum')
    await p.sees('The pendulum')
    await p.keys('Enter')
    await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    p.isQuiet()
  })

  it('sends a learner’s first page within its size', async () => {
    const p = await demoPerson(server, 'noa')
    await p.sees('Hello, Noa')
    // what still comes of the first look is not to be counted with the second
    await p.page.waitForNetworkIdle()
    let bytes = 0
    p.page.on('response', (reply) => {
      const type = reply.headers()['content-type'] ?? ''
      if (/javascript|css/.test(type)) bytes += Number(reply.headers()['content-length'] ?? 0)
    })
    await p.page.setCacheEnabled(false)
    await p.page.setExtraHTTPHeaders({ 'accept-encoding': 'gzip' })
    await p.page.reload({ waitUntil: 'networkidle0' })
    expect(bytes).toBeGreaterThan(50_000)
    expect(bytes).toBeLessThan(210_000)
  })
})
