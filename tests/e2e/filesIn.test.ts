import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { strToU8, zipSync } from 'fflate'
import type { ElementHandle } from 'puppeteer-core'
import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { EPUB, xhtmlPage, zip } from '../support/bookFiles'
import { FOREIGN } from '../support/foreignItems'
import { dialogLooksRight, looksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'
import { aFolder } from '../support/world'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

function aFile(name: string, content: string | Uint8Array): string {
  const path = join(aFolder(), name)
  writeFileSync(path, content)
  return path
}
async function upload(p: Person, within: string, path: string): Promise<void> {
  const input = await p.page.waitForSelector(`${within} input[type="file"]`)
  await (input as ElementHandle<HTMLInputElement>).uploadFile(path)
}

/** Waits until the field for a list of learners holds some words. */
async function holds(p: Person, words: string): Promise<void> {
  const field = '[data-hook="roster-import"] textarea'
  await p.page.waitForFunction(
    (f, w) => document.querySelector<HTMLTextAreaElement>(f)?.value.includes(w),
    {},
    field,
    words,
  )
}

/** A bank of sixty questions as another program writes them: whatever the standard allows, over and over. */
function aBank(): Uint8Array {
  const all = Object.values(FOREIGN)
  const items = Array.from({ length: 60 }, (_, i) => {
    const xml = all[i % all.length]?.xml ?? ''
    return [
      `items/${String(i).padStart(2, '0')}.xml`,
      strToU8(xml.replace('identifier="x1"', `identifier="x${i}"`)),
    ]
  })
  return zipSync(Object.fromEntries(items) as Record<string, Uint8Array>)
}

describe('a bank of sixty questions', () => {
  it('shows each with its key and points, names what is otherwise, and is taken over', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    await upload(p, 'main', aFile('bank.zip', aBank()))
    await p.seesIn('[data-hook="row-counts"]', 'left out')
    const said = await p.text('[data-hook="reading"]')
    // a number within a line keeps its tolerance
    expect(said).toContain('It is [1] cm around.')
    expect(said).toContain('15.71 ± 0.02')
    expect(said).toContain('200 (± 4)')
    expect(said).toContain('half: krest')
    expect(said).toContain('Capital and small letters are told apart there, and not here.')
    expect(said).toMatch(
      /“Trough; Node” earns [\d.]+ of 2 points there, and [\d.]+ here\.|earns 1 of 2 points there/,
    )
    expect(said).toContain('It is scored by a rule that is not read here (patternmatch)')
    await dialogLooksRight(p)
    await p.click('take-over')
    await p.sees('Taken over:')
    await p.click('take-back')
    await p.sees('is taken back')
    p.isQuiet()
  })
})

describe('a table of questions with headings that nobody knows', () => {
  it('asks which column is what, and remembers it', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    const text = 'Wording,X1,X2,Good\nWhich is high?,Crest,Trough,A\nWhich is low?,Crest,Trough,B'
    await upload(p, 'main', aFile('odd.csv', text))
    await p.has('[data-hook="which-column"] table')
    for (const [heading, is] of [
      ['Wording', 'Question'],
      ['X1', 'Answer A'],
      ['X2', 'Answer B'],
      ['Good', 'What is right'],
    ] as const)
      await p.choose(`[aria-label="What is ${heading}"]`, is)
    await p.sees('Would be taken over: 2 questions')
    await looksRight(p)
    // the next file with these headings is known
    await p.go('/shelf-files')
    await upload(p, 'main', aFile('odd2.csv', text.replace('high', 'higher')))
    await p.sees('Would be taken over: 2 questions')
    await p.sees('Which is higher?')
    p.isQuiet()
  })
})

describe('a file that is read elsewhere', () => {
  it('says where, and is brought there', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    await upload(p, 'main', aFile('closures.ics', CALENDAR))
    await p.sees('This is a calendar: it is read where the school year is planned.')
    await p.isAccessible()
    await p.click('elsewhere')
    await p.seesIn('[data-hook="closure-import"]', '1 closure found')
    await p.seesIn('[data-hook="closure-import"]', 'Bridge day')
    // a list of learners goes with who looks for its class
    await p.go('/shelf-files')
    await upload(p, 'main', aFile('8c.csv', 'Name,Vorname,Klasse\nÖlmann,Zoë,8C\n'))
    await p.sees('This is a list of learners')
    await p.click('elsewhere')
    await p.seesIn('[data-hook="brought"]', '“8c.csv” comes with you')
    await p.isAccessible()
    await p.tap('::-p-text(Science 8 C)')
    await holds(p, 'Ölmann')
    await p.click('read-roster')
    await p.seesIn('[data-hook="roster-trial"]', '1 learner to add')
    p.isQuiet()
  })
})

/** A day of the school year on which the school is closed. */
const CALENDAR = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//x//y//EN',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTAMP:20260801T000000Z',
  'SUMMARY:Bridge day',
  'DTSTART;VALUE=DATE:20270507',
  'END:VEVENT',
  'END:VCALENDAR',
  '',
].join('\r\n')

/** The last chapter of the book, as it leads to another one. */
const CHAPTER =
  '<h1>Ice</h1><p>See <a href="one.xhtml#lies">how it lies</a>.</p><table><caption>Depths</caption>' +
  '<tr><th>Month</th><th>Depth</th></tr><tr><td rowspan="2">Jan</td><td>12 cm</td></tr><tr><td>4 cm</td></tr>' +
  '</table>'

describe('a textbook', () => {
  it('comes in whole, and leads from page to page', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    const book = zip({ ...EPUB, 'OPS/text/two.xhtml': xhtmlPage(CHAPTER) })
    await upload(p, 'main', aFile('snow.epub', book))
    await p.seesIn('[data-hook="reading"]', 'a textbook of 3 lessons')
    await p.seesIn('[data-hook="reading"]', '1 script or frame cut.')
    await looksRight(p)
    await p.click('take-over')
    await p.sees('Taken over:')
    await p.go('/shelf')
    await p.fill('[name="search-shelf"]', 'How it lies')
    await p.seesIn('[data-hook="piece"]', 'How it lies')
    await p.tap('[data-hook="piece"]')
    await p.seesIn('[data-hook="inside"]', 'It goes on')
    await p.fill('[name="search-shelf"]', 'Depths')
    await p.seesIn('[data-hook="piece"]', 'Ice')
    await p.tap('[data-hook="piece"]')
    await p.seesIn('[data-hook="inside"]', 'Depths')
    const link = '::-p-aria([name="how it lies"][role="link"])'
    const to = await p.page.$eval(link, (a) => a.getAttribute('href'))
    await p.page.locator(link).click()
    await p.seesIn('[data-hook="inside"]', 'It goes on')
    // a learner whom nobody has given it gets a word instead
    const noa = await demoPerson(server, 'noa', to ?? '')
    await noa.seesIn('[data-hook="not-given"]', 'Your teacher has not given you this page.')
    await noa.isAccessible()
    noa.isQuiet()
    p.isQuiet()
  })
})

/** What an office exports: a title, German headings, an older encoding, a sum below. */
const OFFICE = [
  'Schule am Berg;;;;',
  'Klassenliste 2026/27;;;;',
  '',
  'Nr.;Name;Vorname;Klasse;Klassenstufe',
  '1;Ölmann;Zoë;8C;8',
  '2;Groß;Jürgen;8C;8. Klasse',
  '3;Núñez;José;8D;8',
  '4;;;8C;8',
  'Summe;4;;;',
].join('\r\n')

describe('a roster of a normal office', () => {
  it('is read as it was meant, and taken in without leaving the class', async () => {
    const p = await demoPerson(server, 'imani', '/classes')
    await p.tap('::-p-text(Science 8 C)')
    await p.tap('::-p-aria([name="Add learners"][role="button"])')
    await p.has('[data-hook="roster-import"]')
    await upload(p, '[data-hook="roster-import"]', aFile('Klassenliste.csv', Buffer.from(OFFICE, 'latin1')))
    await holds(p, 'Ölmann')
    await p.click('read-roster')
    await p.seesIn('[data-hook="roster-trial"]', '2 learners to add, 1 row cannot be read')
    const said = await p.text('[data-hook="roster-trial"]')
    expect(said).toContain('Zoë Ölmann, Jürgen Groß')
    expect(said).toContain('stands above the headings: “Schule am Berg”')
    expect(said).toContain('is a sum: “Summe, 4”')
    expect(said).toContain('1 of 8D')
    await p.isAccessible()
    await p.press('Leave these rows out')
    await p.click('add-roster')
    await p.sees('2 learners added')
    await p.sees('Jürgen Groß')
    // all of it is one act, which is taken back and done again
    for (const _ of ['once', 'and again']) {
      await p.click('undo')
      await p.page.waitForFunction(() => !document.body.innerText.includes('Jürgen Groß'))
      await p.click('redo')
      await p.sees('Jürgen Groß')
    }
    p.isQuiet()
  })
})
