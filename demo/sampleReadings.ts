import type { ShelfReading } from '#core/formats'
import { HEAT, PIECES, STANDARDS, WAVES } from './content'

/**
 * The demo's textbooks as a school takes them over: each with the pieces of its lessons, the standards with the first.
 * Tests of the whole year stay behind: what is taken over gets names of its own, by which a book does not know them.
 */
export function sampleReadings(): readonly ShelfReading[] {
  return [WAVES, HEAT].map(({ id, ...book }, at) => {
    const own = PIECES.filter((p) => p.bookId === id && p.lesson !== null)
    return {
      format: 'outline',
      title: 'Science, grades 7 and 8',
      outsideId: null,
      standards: at === 0 ? STANDARDS.map((standard) => ({ standard, outsideId: null })) : [],
      pieces: own.map(({ resource: { id: _, ...piece } }) => piece),
      book: { ...book, benchmarks: [] },
      lessonOf: own.map((p) => p.lesson),
      rows: [],
    }
  })
}
