import { asId } from '#core/base'
import type { BookId, ItemId } from '#core/base'
import type { Resource } from '#core/library'
import { piece } from './author'
import type { Piece } from './author'
import { STANDARDS } from './standards'
import { HEAT, WAVES } from './waves.outline'
import { readPieces } from './readPieces'

export { HEAT, STANDARDS, WAVES }

/** A unit test out of the unit's checks: every third item, numbered anew. */
function testFrom(
  pieces: readonly Piece[],
  lesson: string,
  code: string,
  title: string,
  grade: number,
): Piece {
  const items = pieces
    .filter((p) => p.resource.kind === 'check')
    .flatMap((p) => p.resource.items.filter((i, at) => at % 3 === 1 && i.kind !== 'extended'))
  // three minutes a question, and never more than a lesson
  const minutes = Math.min(35, items.length * 3)
  const made = piece(
    { lesson, kind: 'test', code, title, minutes, grade },
    'Work through all questions. You have one try; the time runs once you start.',
  )
  const resource: Resource = {
    ...made.resource,
    items: items.map((item, i) => ({ ...item, id: asId<ItemId>(`${code}-${i + 1}`) })),
    standards: [...new Set(items.flatMap((i) => i.standard ?? []))],
  }
  return { ...made, resource }
}

/**
 * A test of the whole year: one question of each check of the given units, always another one, so that the three tests
 * of a book share none.
 */
function benchmark(
  pieces: readonly Piece[],
  which: { readonly code: string; readonly title: string; readonly nth: number; readonly grade: number },
): Piece {
  const { code, title, nth, grade } = which
  const items = pieces
    .filter((p) => p.resource.kind === 'check')
    .flatMap((p) => p.resource.items.filter((i) => i.kind !== 'extended').slice(nth, nth + 1))
  const text =
    'This test looks at where you stand. Nobody knows all of it; leave out what you have not had yet.'
  const made = piece({ lesson: null, kind: 'test', code, title, minutes: timeFor(items.length), grade }, text)
  const numbered = items.map((item, i) => ({ ...item, id: asId<ItemId>(`${code}-${i + 1}`) }))
  const standards = [...new Set(items.flatMap((i) => i.standard ?? []))]
  return { ...made, resource: { ...made.resource, items: numbered, standards } }
}
/** Minutes for so many questions, in steps of five. */
const timeFor = (count: number) => Math.max(10, Math.round((count * 1.2) / 5) * 5)
/** Units of the first half of a year. */
const isOfFirstHalf = ({ lesson }: Piece) => /^.[1-4]/.test(lesson ?? '')
function benchmarksOf(pieces: readonly Piece[], stem: string, grade: number): readonly Piece[] {
  return [
    benchmark(pieces, { code: `${stem}1`, title: 'Where we start', nth: 0, grade }),
    benchmark(pieces.filter(isOfFirstHalf), { code: `${stem}2`, title: 'Half way', nth: 2, grade }),
    benchmark(pieces, { code: `${stem}3`, title: 'What the year was about', nth: 3, grade }),
  ]
}

const TESTS = [
  ['W1', 'W1.7', 'vib701', 'Test: vibrations'],
  ['W2', 'W2.7', 'wav701', 'Test: mechanical waves'],
  ['W3', 'W3.7', 'snd701', 'Test: sound'],
  ['W4', 'W4.6', 'lgt601', 'Test: light'],
  ['M1', 'M1.6', 'mat601', 'Test: matter'],
  ['M2', 'M2.5', 'pro501', 'Test: properties'],
  ['M3', 'M3.6', 'mix601', 'Test: mixtures'],
  ['M4', 'M4.6', 'tmp601', 'Test: temperature'],
  ['W5', 'W5.6', 'col601', 'Test: colour and seeing'],
  ['W6', 'W6.6', 'spe601', 'Test: the spectrum'],
  ['W7', 'W7.6', 'sig601', 'Test: signals'],
  ['M5', 'M5.5', 'mov501', 'Test: heat'],
  ['M6', 'M6.5', 'sta501', 'Test: changes of state'],
  ['M7', 'M7.5', 'tim501', 'Test: materials over time'],
] as const

/** The pieces of a book unit by unit, each unit with the test that is made of its checks, and the tests of the year. */
function bookOf(pieces: readonly Piece[], benchmarkStem: string, grade: number): readonly Piece[] {
  const units = [...new Set(pieces.map((p) => p.lesson?.split('.')[0] ?? ''))]
  const withTests = units.flatMap((unit) => {
    const own = pieces.filter((p) => p.lesson?.startsWith(`${unit}.`))
    const tests = TESTS.filter(([of]) => of === unit)
    return [...own, ...tests.map(([, lesson, code, title]) => testFrom(own, lesson, code, title, grade))]
  })
  return [...withTests, ...benchmarksOf(pieces, benchmarkStem, grade)]
}

const WAVES_PIECES = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((unit) => readPieces(`waves-${unit}`))
const HEAT_PIECES = ['heat', 'heat-3', 'heat-4', 'heat-5', 'heat-6', 'heat-7', 'heat-8'].flatMap(readPieces)

/** Every piece with the textbook it belongs to. */
export const PIECES: readonly (Piece & { readonly bookId: BookId })[] = [
  ...bookOf(WAVES_PIECES, 'wbm', 8).map((p) => ({ ...p, bookId: WAVES.id })),
  ...bookOf(HEAT_PIECES, 'mbm', 7).map((p) => ({ ...p, bookId: HEAT.id })),
]
