import { strFromU8, strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { cpuMs } from '../../../tests/support/cpu'
import { CARTRIDGE, EPUB, zip } from '../../../tests/support/bookFiles'
import { aCheck, at, everyKind } from '../../../tests/support/made'
import { seedOf, seededRandom } from '../../base'
import type { Random } from '../../base'
import { checkResource, faultInStandards } from '../../library'
import { printQtiItem } from './qti/printItem'
import { printCase, printItems, printQtiPackage, readShelfFile } from './index'

const SEED = 20261127
const MUTATIONS = 2000
/** Longer, nobody waits. */
/** Of processor, so that a busy machine makes no difference. */
const MOST_CPU_MS = 2000

const standards = Array.from({ length: 12 }, (_, i) => ({
  standard: {
    code: `S.${i}`,
    text: `Standard ${i}`,
    level: 'standard' as const,
    parent: i === 0 ? null : 'S.0',
    requires: i > 1 ? [`S.${i - 1}`] : [],
  },
  outsideId: null,
}))
const framework = { id: 'f', title: 'F', outsideId: null, creator: null }
const OF_2_1 = `<assessmentItem identifier="a" title="A"><responseDeclaration identifier="RESPONSE"
  cardinality="single" baseType="identifier"><correctResponse><value>A</value></correctResponse></responseDeclaration>
  <itemBody><choiceInteraction responseIdentifier="RESPONSE" maxChoices="1"><prompt>Which?</prompt>
  <simpleChoice identifier="A">one</simpleChoice><simpleChoice identifier="B">two</simpleChoice>
  </choiceInteraction></itemBody></assessmentItem>`

/** Whole files, one for each way of reading. */
const FILES: readonly (readonly [what: string, name: string, text: string])[] = [
  ['CASE', 'f.json', printCase(framework, standards, at('11-01T10:00'))],
  ['QTI 3.0', 'i.xml', everyKind().map(printQtiItem)[5] ?? ''],
  ['QTI 2.1', 'i.xml', OF_2_1],
  ['a table', 'b.csv', printItems(everyKind())],
  [
    'an outline',
    'o.csv',
    'Unit,Lesson,Meetings,Kind\r\nSnow,Falling,2,lesson\r\n,Lying,1.5,test\r\nIce,Hail,1,review\r\n',
  ],
  ['Markdown', 'r.md', '# Title\n\nText with $f$ and **marks**.\n\n| a | b |\n|---|---|\n| 1 | 2 |\n'],
]

const pick = <T>(values: readonly T[], random: Random) => values[Math.floor(random() * values.length)] as T
const place = (text: string, random: Random) => Math.floor(random() * (text.length + 1))
const ODD = [
  '<',
  '>',
  '"',
  '{',
  '[',
  ']',
  '|',
  ';',
  '\u0000',
  '\uFFFD',
  '&#x0;',
  '&lt;',
  '-1e999',
  '../',
  '<!--',
  ']]>',
]

/** A text with something cut out, doubled, put in or changed, once or a few times. */
function mutated(text: string, random: Random): string {
  const times = 1 + Math.floor(random() * 4)
  return Array.from({ length: times }).reduce<string>((now) => {
    const [a, b] = [place(now, random), place(now, random)].sort((x, y) => x - y) as [number, number]
    switch (Math.floor(random() * 5)) {
      case 0:
        return now.slice(0, a) + now.slice(b)
      case 1:
        return now.slice(0, b) + now.slice(a)
      case 2:
        return now.slice(0, a) + pick(ODD, random) + now.slice(a)
      case 3:
        return now.slice(0, a) + now.slice(a + 1)
      default:
        return now.replace(pick(now.match(/[\w.]+/g) ?? ['x'], random), pick(ODD, random))
    }
  }, text)
}

/** Whatever is read fits together, and can be taken over as it is. */
function isSound(name: string, bytes: Uint8Array): void {
  const before = cpuMs()
  const read = readShelfFile(name, bytes)
  expect(cpuMs() - before).toBeLessThan(MOST_CPU_MS)
  if (!read.ok) {
    expect(read.error.code).toMatch(/^formats\//)
    return
  }
  const { pieces, standards: known } = read.value
  for (const piece of pieces)
    expect(checkResource({ ...aCheck([]), ...piece, code: 'own1' }).error).toBeUndefined()
  // a parent or a prerequisite may be left out with what could not be read; a circle never stays
  expect(faultInStandards(known.map((s) => s.standard))?.code).not.toBe('library/standards-in-circle')
}

describe('files that were damaged on the way', () => {
  it.each(FILES)(
    `are read or refused, never more: %s, ${MUTATIONS} times from seed ${SEED}`,
    (what, name, text) => {
      const random = seededRandom(seedOf(`${SEED} ${what}`))
      for (let i = 0; i < MUTATIONS; i++) isSound(name, strToU8(mutated(text, random)))
    },
  )

  it(`are read or refused, never more: packages, ${MUTATIONS} times from seed ${SEED}`, () => {
    const random = seededRandom(seedOf(`${SEED} packages`))
    const whole = printQtiPackage(aCheck(everyKind()))
    const files = Object.fromEntries(
      everyKind().map((item) => [`items/${item.id}.xml`, printQtiItem(item)] as const),
    )
    for (let i = 0; i < MUTATIONS; i++) {
      if (i % 2 === 0) {
        const bytes = whole.slice()
        for (let n = 0; n < 3; n++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256)
        isSound('p.zip', bytes.slice(0, random() < 0.3 ? place(strFromU8(bytes, true), random) : undefined))
      } else {
        const name = pick(Object.keys(files), random)
        const damaged = { ...files, [name]: mutated(files[name] ?? '', random) }
        isSound(
          'p.zip',
          zipSync(Object.fromEntries(Object.entries(damaged).map(([n, text]) => [n, strToU8(text)]))),
        )
      }
    }
  })

  it.each([
    ['EPUB', EPUB],
    ['cartridges', CARTRIDGE],
  ] as const)(`are read or refused, never more: %s, ${MUTATIONS} times from seed ${SEED}`, (what, whole) => {
    const random = seededRandom(seedOf(`${SEED} ${what}`))
    const files: Readonly<Record<string, string>> = whole
    for (let i = 0; i < MUTATIONS; i++) {
      const name = pick(Object.keys(files), random)
      isSound('b.epub', zip({ ...files, [name]: mutated(files[name] ?? '', random) }))
    }
  })
})
