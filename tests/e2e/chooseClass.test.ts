import { beforeAll, describe, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

describe('a page of one class', () => {
  it('asks of which where its address does not say, and then is that class’s', async () => {
    const p = await demoPerson(server, 'imani', '/classes/trails')
    for (const [path, title] of [
      ['/classes/trails', 'Trails'],
      ['/classes/filing', 'Headings and grading categories'],
      ['/evidence/queue', 'Scoring'],
    ] as const) {
      await p.go(path)
      await p.seesIn('[data-hook="choose-class"]', title)
      await p.seesIn('[data-hook="choose-class"]', 'Science 7 E 26 learners')
      await p.isAccessible()
      await p.page.locator('[data-hook="choose-class"] li:nth-child(2) a').click()
      await p.page.waitForFunction(() => !document.querySelector('[data-hook="choose-class"]'))
      await p.sees('Science 8 B')
    }
    p.isQuiet()
  })
})
