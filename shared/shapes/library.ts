import { z } from 'zod'
import type { BookId } from '#core/base'
import type { Book } from '#core/library'
import { itemShapes } from './items'
import { id } from './makers'
import type { Makers } from './makers'

/** Textbooks, and what a resource holds. */
export function libraryShapes(m: Makers) {
  const { item } = itemShapes(m)
  const lesson = m.object({
    id: m.line(64),
    number: m.prose(12),
    title: m.line(120),
    typicalMeetings: m.number(0, 100),
    kind: z.enum(['lesson', 'test', 'project', 'review']),
  })
  const book = m.object({
    id: id<BookId>(),
    title: m.line(120),
    course: m.line(60),
    grade: m.number(),
    units: m.list(m.object({ number: m.prose(12), title: m.line(120), lessons: m.list(lesson, 400) }), 100),
  }) satisfies z.ZodType<Book>
  return {
    book,
    item,
    items: m.list(item, 100),
    standards: m.list(m.prose(40), 100),
    content: m.prose(40_000),
  }
}
