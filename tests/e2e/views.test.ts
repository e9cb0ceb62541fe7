import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { walksByTab } from '../support/focus'
import { PHONE, looksRight, looksRightOnPhone } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

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

describe('views further in have nothing for axe to find, and show their focus', () => {
  it('at the door', async () => {
    const p = await visit(server, '/sign-in')
    await p.sees('The demo school')
    await looksRight(p)
    for (const path of ['/join', '/sign-up']) {
      await p.go(path)
      await looksRight(p)
    }
  })

  it('in a class and a plan', async () => {
    const p = await demoPerson(server, 'imani', '/classes')
    await p.page.locator('[data-hook="classes"] a').click()
    await p.sees('Joining code')
    await looksRight(p)
    await p.go('/classes/plans')
    await p.click('edit-plan')
    await p.has('[role="option"]')
    await p.page.locator('[role="option"]').click()
    await p.sees('Not right after a break')
    await looksRight(p)
    p.isQuiet()
  })

  it('in what opens on the desk', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.click('announce')
    await p.sees('The whole school')
    await looksRight(p)
    await p.click('look-note')
    await p.has('[data-hook="ripple-detail"]')
    await looksRight(p)
    await p.dropRipple()
    await p.page.locator('.colhead .name').click()
    await p.sees('Week of Mon 19 Oct')
    await looksRight(p)
    p.isQuiet()
  })

  it('in the questions of a piece and its texts', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.click('column')
    await p.sees('hardest first')
    await looksRight(p)
    await toTexts(p)
    await looksRight(p)
    p.isQuiet()
  })

  it('for a learner', async () => {
    const p = await demoPerson(server, 'saoirse')
    await goesThroughWork(p, looksRight)
    p.isQuiet()
  })
})

describe('on a phone they fit, and show their focus', () => {
  it('in a class, a plan, and texts to score', async () => {
    const p = await demoPerson(server, 'imani', '/classes', PHONE)
    await p.page.locator('[data-hook="classes"] a').click()
    await p.sees('Joining code')
    await looksRightOnPhone(p)
    await p.go('/classes/plans')
    await p.click('edit-plan')
    await p.has('[role="option"]')
    await looksRightOnPhone(p)
    await p.go('/evidence')
    await p.click('column')
    await p.sees('hardest first')
    await walksByTab(p)
    await toTexts(p)
    await p.fits()
  })

  it('in what opens on the desk', async () => {
    const p = await demoPerson(server, 'imani', '/pace', PHONE)
    await p.click('announce')
    await p.sees('The whole school')
    await walksByTab(p)
    await p.click('look-note')
    await p.has('[data-hook="ripple-detail"]')
    await walksByTab(p)
    await p.dropRipple()
    await p.page.locator('.colhead .name').click()
    await p.sees('Week of Mon 19 Oct')
    await walksByTab(p)
  })

  it('at the door and for a learner', async () => {
    const door = await visit(server, '/sign-in', PHONE)
    await door.sees('The demo school')
    await looksRightOnPhone(door)
    const p = await demoPerson(server, 'saoirse', '/', PHONE)
    await goesThroughWork(p, looksRightOnPhone)
  })
})

/** A learner's list, the steps of one piece of work, a check before and while it is done, and what is over. */
async function goesThroughWork(p: Person, look: (p: Person) => Promise<void>): Promise<void> {
  await p.sees('Now')
  await look(p)
  await p.page.locator('[data-hook="work-now"][data-steps="2"]').click()
  await p.has('[data-hook="finish"]')
  await look(p)
  await p.go('/learn')
  await p.page.locator('[data-hook="work-now"][data-steps="1"]').click()
  await p.has('[data-hook="start"], fieldset')
  if (await p.page.$('[data-hook="start"]')) {
    await look(p)
    await p.click('start')
  }
  await p.has('fieldset[data-kind]')
  await look(p)
  await p.go('/learn')
  await p.click('work-done')
  await p.sees('My work')
  await look(p)
}

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
