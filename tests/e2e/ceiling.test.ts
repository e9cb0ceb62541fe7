import { beforeAll, describe, expect, it } from 'vitest'
import { ShowOverview } from '#shared/contracts/teaching'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

describe('a ceiling on open pieces', () => {
  it('is set on the page of headings and categories, says whom it lets wait, and is lifted for them', async () => {
    const p = await demoPerson(server, 'imani', '/pace/week')
    await p.tap('.needs .queue a')
    await p.seesIn('[data-hook="last-look"]', '3 learners have 1 of “More practice” open')
    await p.page.goBack({ waitUntil: 'networkidle0' })
    const imani = await signedIn(server, 'imani')
    const room = (await imani.call(ShowOverview)).value?.classes.find((c) => c.name === 'Science 7 E')
    await p.go(`/classes/${room?.id}`)
    await p.tap('[data-hook="to-filing"]')
    await p.sees('Grading categories')
    await p.isAccessible()
    const ceiling = '[aria-label="At most open at once of More practice"]'
    const setTo = async (value: string) => {
      await p.page.locator(ceiling).fill(value)
      await p.keys('Tab')
    }
    await setTo('0')
    await p.click('keep-filing')
    await p.sees('let a learner have from 1 to 50 pieces of it open at once')
    await setTo('2')
    await p.click('keep-filing')
    await p.page.waitForNetworkIdle()
    await p.go('/pace/week')
    await p.sees('Needs you')
    expect(await p.page.$('.needs .queue')).toBeNull()
    p.isQuiet()
  })
})
