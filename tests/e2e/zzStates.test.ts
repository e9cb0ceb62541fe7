import { readFileSync } from 'node:fs'
import { beforeAll, describe, it } from 'vitest'
import { visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('empty')
})
const VIEWS = ['/pace', '/pace/week', '/pace/series', '/pace/place', '/pace/load', '/shelf', '/classes', '/work', '/evidence', '/lens', '/classes/plans', '/pace/fit']
async function shots(t: Person, state: string): Promise<void> {
  for (const [i, path] of VIEWS.entries()) {
    await t.go(path)
    await new Promise((r) => setTimeout(r, 700))
    await t.page.screenshot({ path: `/tmp/st_${state}_${i}.png` })
  }
  const m = await t.page.browser().newPage()
  await m.setViewport({ width: 1288, height: 1230 })
  for (let k = 0; k < 2; k++) {
    const imgs = [0, 1, 2, 3, 4, 5].map((n) => `<img style="width:640px;border:1px solid #888" src="data:image/png;base64,${readFileSync(`/tmp/st_${state}_${k * 6 + n}.png`).toString('base64')}">`)
    await m.setContent(`<body style="margin:0;display:grid;grid-template-columns:640px 640px;gap:6px;background:#888">${imgs.join('')}</body>`)
    await new Promise((r) => setTimeout(r, 400))
    await m.screenshot({ path: `/tmp/sm_${state}_${k}.png` })
  }
  await m.close()
}
async function roster(t: Person, names: readonly string[], say: string): Promise<void> {
  await t.fill('[data-hook="roster-import"] textarea', ['name', ...names].join('\n'))
  await t.click('read-roster')
  await t.sees(say)
  await t.click('add-roster')
  await t.sees('added')
}
describe('states', () => {
  it('nothing, one, forty', async () => {
    const t = await visit(server)
    await t.press('Set up a school')
    await t.fill('[name="school"]', 'Alder Lane School')
    await t.fill('[name="name"]', 'Petra Quist')
    await t.fill('[name="signIn"]', 'petra')
    await t.fill('[name="password"]', 'long enough')
    await t.click('send')
    await t.sees('From an empty workspace to a planned year')
    await shots(t, 'nothing')
    await t.go('/classes/year')
    await t.fill('[name="firstOn"]', '2026-08-24')
    await t.fill('[name="lastOn"]', '2027-06-11')
    await t.fill('[name="zone"]', 'America/Denver')
    await t.click('save-year')
    await t.sees('Make a class')
    await t.click('next-step')
    await t.fill('[name="name"]', 'Science 8 X')
    await t.fill('[name="shortName"]', '8 X')
    await t.fill('[name="course"]', 'Science 8')
    await t.click('save-class')
    await t.has('[data-hook="join-code"]')
    const classPage = new URL(t.page.url()).pathname
    await roster(t, ['Mira Olden'], '1 learner to add')
    await t.go('/classes/plans')
    await t.fill('[name="title"]', 'Our order')
    await t.fill('[data-hook="outline-form"] [name="course"]', 'Science 8')
    await t.fill('[data-hook="outline-form"] textarea', ['unit,lesson,meetings', ...Array.from({ length: 40 }, (_, i) => `Unit ${Math.floor(i / 8) + 1},Lesson number ${i + 1} of the year,2`)].join('\n'))
    await t.click('read-outline')
    await t.sees('40 lessons')
    await t.click('make-plan')
    await t.click('lay')
    await t.click('from-year')
    await t.click('lay-out')
    await t.sees('placed')
    await t.go('/shelf-own')
    await t.fill('[name="title"]', 'First check')
    await t.fill('[name="stem-1"]', 'Which of these vibrates?')
    for (const [i, answer] of ['A plucked string', 'A parked car', 'A book on a shelf'].entries())
      await t.fill(`[name="answer-1-${i + 1}"]`, answer)
    await t.click('save-piece')
    await t.sees('First check')
    await t.click('assign')
    await t.has('[data-offered]')
    await t.page.locator('[data-offered]').click()
    await t.sees('Publish to 1 learner')
    await t.click('publish')
    await t.sees('Published')
    await shots(t, 'one')
    await t.go(classPage)
    await roster(t, Array.from({ length: 39 }, (_, i) => `Learner Number${i + 2}`), '39 learners to add')
    for (let n = 0; n < 39; n++) {
      // forty pieces of work, some held and some out
      const ok = await t.page.evaluate(async () => (await fetch('/api/work')).status)
      if (ok > 0) break
    }
    await shots(t, 'forty')
  })
})
