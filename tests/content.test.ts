import { describe, expect, it } from 'vitest'
import { seedOf, seededRandom } from '#core/base'
import {
  ITEM_KINDS,
  MADE,
  checkResource,
  faultInStandards,
  findingsIn,
  givenInWords,
  isScoredByHand,
  rightInWords,
  scoreItem,
} from '#core/library'
import { exampleAnswer } from '#standins/exampleAnswers'
import type { Answer, Item } from '#core/library'
import { HEAT, PIECES, STANDARDS, WAVES } from '../demo/content'
import { filled, reckon } from '../demo/content/reckon'

const written = PIECES.filter((p) => p.resource.kind !== 'test').map((p) => p.resource)
/** What somebody wrote: the question for what a project made comes by itself. */
const items = written.flatMap((r) =>
  r.items
    .filter((item) => item.id !== MADE)
    .map((item) => ({ item, code: `${r.code} ${item.stem.slice(0, 60)}` })),
)
const scored = items.filter(({ item }) => !isScoredByHand(item))

/** Every answer that chooses one option, and some likely wrong ones. */
function distractors(item: Item): readonly Answer[] {
  if (item.kind === 'single')
    return item.options.filter((o) => o.id !== item.right).map((o) => ({ kind: 'single', choice: o.id }))
  if (item.kind === 'multiple')
    return item.options
      .filter((o) => !item.right.includes(o.id))
      .map((o) => ({ kind: 'multiple', choices: [...item.right, o.id] }))
  if (item.kind === 'ordering') return [{ kind: 'ordering', order: [...item.right].reverse() }]
  // what a learner may well write, and what is right here and there
  const isAccepted = (text: string) => item.kind === 'text' && item.accepted.includes(text)
  const random = seededRandom(seedOf(item.stem))
  return Array.from({ length: 5 }, () => exampleAnswer(item, false, random)).filter(
    (answer) =>
      givenInWords(item, answer) !== givenInWords(item, exampleAnswer(item, true, random)) &&
      !isAccepted(givenInWords(item, answer)),
  )
}

/** All that makes two questions the same one. */
const sameAs = (item: Item) =>
  `${item.kind} ${item.stem} ${rightInWords(item)}`.toLowerCase().replace(/\s+/g, ' ')

describe('the content of the textbooks', () => {
  it('can be answered: every key scores full marks, every distractor does not', () => {
    for (const { item, code } of scored) {
      expect(
        scoreItem(
          item,
          exampleAnswer(item, true, () => 0),
        ),
        code,
      ).toBe(item.points)
      for (const answer of distractors(item)) expect(scoreItem(item, answer), code).toBeLessThan(item.points)
    }
  })

  it('has no two questions alike', () => {
    const seen = new Map<string, string>()
    for (const { item, code } of items) {
      expect(seen.get(sameAs(item)), code).toBeUndefined()
      seen.set(sameAs(item), code)
    }
  })

  it('names standards that there are, and has all kinds of questions', () => {
    const standards = new Set(STANDARDS.filter((s) => s.level === 'standard').map((s) => s.code))
    for (const { standards: named, code } of written)
      for (const standard of named) expect(standards.has(standard), `${code} ${standard}`).toBe(true)
    for (const { item, code } of items) expect(standards.has(item.standard ?? ''), code).toBe(true)
    expect(new Set(items.map(({ item }) => item.kind))).toEqual(new Set(ITEM_KINDS))
  })

  it('takes a plausible time, and would be accepted by the shelf', () => {
    for (const resource of PIECES.map((p) => p.resource)) {
      expect(checkResource(resource).error, resource.code).toBeUndefined()
      expect(resource.minutes, resource.code).toBeGreaterThanOrEqual(4)
      expect(resource.minutes, resource.code).toBeLessThanOrEqual(90)
      if (resource.items.length > 2) {
        const each = resource.minutes / resource.items.length
        expect(each, resource.code).toBeGreaterThanOrEqual(0.8)
        expect(each, resource.code).toBeLessThanOrEqual(4)
      }
    }
  })

  it('tells no answer by its own words, and rounds where fractions are right', () => {
    const telling = items.flatMap(({ item, code }) =>
      findingsIn(item)
        .filter((f) => f.code === 'exact-fraction' || f.code === 'all-right' || f.code === 'no-stem')
        .map((f) => `${code}: ${f.code}`),
    )
    expect(telling).toEqual([])
  })

  it('is whole where it is said to be: a reading, an example, practice and a check in each lesson', () => {
    for (const [book, units] of [
      [WAVES, ['W1', 'W2', 'W3', 'W4']],
      [HEAT, ['M1', 'M2', 'M3', 'M4']],
    ] as const)
      for (const unit of book.units.filter((u) => (units as readonly string[]).includes(u.number)))
        for (const lesson of unit.lessons.filter((l) => l.kind === 'lesson')) {
          const here = written.filter((r) => PIECES.find((p) => p.resource === r)?.lesson === lesson.id)
          const kinds = here.map((r) => r.kind)
          for (const kind of ['reading', 'worked-example', 'practice-set', 'check'] as const)
            expect(kinds, `${lesson.id} ${kind}`).toContain(kind)
          const count = (kind: string) => here.find((r) => r.kind === kind)?.items.length ?? 0
          expect(count('practice-set'), lesson.id).toBeGreaterThanOrEqual(10)
          expect(count('check'), lesson.id).toBeGreaterThanOrEqual(8)
        }
  })

  it('has in each of these units what a unit has besides its lessons', () => {
    const wanted = ['word-list', 'writing-task', 'read-aloud', 'project', 'test'] as const
    for (const unit of ['W1', 'W2', 'W3', 'W4', 'M1', 'M2', 'M3', 'M4']) {
      const here = PIECES.filter((p) => p.lesson?.startsWith(`${unit}.`)).map((p) => p.resource)
      for (const kind of wanted)
        expect(
          here.map((r) => r.kind),
          unit,
        ).toContain(kind)
      for (const role of ['reteach', 'extension'] as const)
        expect(
          here.map((r) => r.role),
          unit,
        ).toContain(role)
      for (const project of here.filter((r) => r.kind === 'project'))
        expect(project.material.rubric.length, project.code).toBeGreaterThan(1)
    }
  })

  it('has a reading and a check in each lesson of the later units', () => {
    for (const unit of [...WAVES.units.slice(4, 7), ...HEAT.units.slice(4, 7)])
      for (const lesson of unit.lessons.filter((l) => l.kind === 'lesson')) {
        const kinds = PIECES.filter((p) => p.lesson === lesson.id).map((p) => p.resource.kind)
        expect(kinds, lesson.id).toEqual(expect.arrayContaining(['reading', 'check']))
      }
  })

  it('has tests of the whole year that share no question', () => {
    for (const book of [WAVES, HEAT]) {
      const tests = book.benchmarks.map((b) => PIECES.find((p) => p.resource.id === b.resourceId)?.resource)
      const stems = tests.flatMap((t) => t?.items.map((i) => i.stem) ?? [])
      expect(tests.map((t) => (t?.items.length ?? 0) >= 10)).toEqual([true, true, true])
      expect(new Set(stems.filter((s) => s !== 'Fill in what is missing.')).size).toBe(
        stems.filter((s) => s !== 'Fill in what is missing.').length,
      )
    }
  })

  it('points from checks to pieces that there are', () => {
    const codes = new Set(PIECES.map((p) => p.resource.code))
    for (const { weak, resource } of PIECES)
      for (const code of weak) expect(codes.has(code), `${resource.code} ${code}`).toBe(true)
  })

  it('has a framework of sixty standards and more that stand together', () => {
    expect(faultInStandards(STANDARDS)).toBeNull()
    const standards = STANDARDS.filter((s) => s.level === 'standard')
    expect(standards.length).toBeGreaterThanOrEqual(60)
    expect(standards.filter((s) => s.requires.length > 0).length).toBeGreaterThan(40)
  })
})

describe('reckoning with the numbers of a question', () => {
  it('keeps the order of operations', () => {
    expect(reckon('2 + 3 * 4', {})).toBe(14)
    expect(reckon('(a + b) / 2', { a: 3, b: 4 })).toBe(3.5)
    expect(reckon('8 / 2 ^ ((d - 85) / 3)', { d: 91 })).toBe(2)
    expect(reckon('-a + 10', { a: 4 })).toBe(6)
    expect(filled('{f} Hz in {t} s: {f * t}', { f: 4, t: 0.5 })).toBe('4 Hz in 0.5 s: 2')
  })

  it.each(['2 +', 'x', '(1', '1 2', ')'])('says what is wrong with %s', (expression) => {
    expect(() => reckon(expression, {})).toThrow()
  })
})
