import { asId } from '#core/base'
import type { BookId, ItemId } from '#core/base'
import type { Resource } from '#core/library'
import { piece } from './author'
import type { Piece } from './author'
import { STANDARDS } from './standards'
import { HEAT, WAVES } from './waves.outline'
import { readPieces } from './readPieces'

export { HEAT, STANDARDS, WAVES }

const WAVES_1 = readPieces('waves-1')
const WAVES_2 = readPieces('waves-2')
const WAVES_3 = readPieces('waves-3')
const WAVES_4 = readPieces('waves-4')
const HEAT_PIECES = readPieces('heat')
const HEAT_3 = readPieces('heat-3')
const HEAT_4 = readPieces('heat-4')

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
  const made = piece(
    { lesson, kind: 'test', code, title, minutes: 35, grade },
    'Work through all questions. You have one try; the time runs once you start.',
  )
  const resource: Resource = {
    ...made.resource,
    items: items.map((item, i) => ({ ...item, id: asId<ItemId>(`${code}-${i + 1}`) })),
    standards: [...new Set(items.flatMap((i) => i.standard ?? []))],
  }
  return { ...made, resource }
}

/** Every piece with the textbook it belongs to. */
export const PIECES: readonly (Piece & { readonly bookId: BookId })[] = [
  ...[
    ...WAVES_1,
    testFrom(WAVES_1, 'W1.7', 'vib701', 'Test: vibrations', 8),
    ...WAVES_2,
    testFrom(WAVES_2, 'W2.7', 'wav701', 'Test: mechanical waves', 8),
    ...WAVES_3,
    testFrom(WAVES_3, 'W3.7', 'snd701', 'Test: sound', 8),
    ...WAVES_4,
    testFrom(WAVES_4, 'W4.6', 'lgt601', 'Test: light', 8),
  ].map((p) => ({ ...p, bookId: WAVES.id })),
  ...[
    ...HEAT_PIECES,
    testFrom(
      HEAT_PIECES.filter((p) => p.lesson.startsWith('M1')),
      'M1.6',
      'mat601',
      'Test: matter',
      7,
    ),
    testFrom(
      HEAT_PIECES.filter((p) => p.lesson.startsWith('M2')),
      'M2.5',
      'pro501',
      'Test: properties',
      7,
    ),
    ...HEAT_3,
    testFrom(HEAT_3, 'M3.6', 'mix601', 'Test: mixtures', 7),
    ...HEAT_4,
    testFrom(HEAT_4, 'M4.6', 'tmp601', 'Test: temperature', 7),
  ].map((p) => ({ ...p, bookId: HEAT.id })),
]
