import { z } from 'zod'
import type { BookId, FileId, ResourceId } from '#core/base'
import {
  BENCHMARK_TIMES,
  FACETS,
  FILE_SORTS,
  MOST_ASIDE,
  MOST_FILES,
  MOST_IN_TRAY,
  MOST_KEPT_BYTES,
} from '#core/library'
import type { Book, Facet, KeptFile, Material, Tray } from '#core/library'
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
    benchmarks: m.list(m.object({ at: z.enum(BENCHMARK_TIMES), resourceId: id<ResourceId>() }), 12),
  }) satisfies z.ZodType<Book>
  const keptFile = m.object({
    id: id<FileId>(),
    name: m.line(120),
    sort: z.enum(FILE_SORTS),
    type: m.line(120),
    size: m.whole(0, MOST_KEPT_BYTES),
  }) satisfies z.ZodType<KeptFile>
  const material = m.object({
    link: m.prose(500),
    transcript: m.prose(40_000),
    words: m.list(m.object({ word: m.line(80), meaning: m.prose(400), example: m.prose(400) }), 100),
    rubric: m.list(m.object({ name: m.line(80), points: m.number(0, 100), about: m.prose(600) }), 12),
    files: m.list(keptFile, MOST_FILES),
  }) satisfies z.ZodType<Material>
  const facetValues = m.list(m.line(40), 30)
  const shelfFilter = m.object(
    Object.fromEntries(FACETS.map((facet) => [facet, facetValues.optional()])) as Record<
      Facet,
      z.ZodOptional<typeof facetValues>
    >,
  )
  const classShelf = m.object({
    bookIds: m.list(id<BookId>(), 20),
    filter: shelfFilter,
  })
  const tray = m.object({
    pieces: m.list(id<ResourceId>(), MOST_IN_TRAY),
    limit: m.whole(1, 5000).nullable(),
    aside: m
      .list(m.object({ name: m.line(60), pieces: m.list(id<ResourceId>(), MOST_IN_TRAY) }), MOST_ASIDE)
      .default([]),
  }) satisfies z.ZodType<Tray>
  const shelfImport = m.object({
    pieces: m.list(id<ResourceId>(), 1000),
    frameworkId: m.line(64).nullable(),
    bookId: id<BookId>().nullable(),
  })
  return {
    shelfImport,
    material,
    shelfFilter,
    classShelf,
    tray,
    book,
    item,
    items: m.list(item, 100),
    standards: m.list(m.prose(40), 100),
    content: m.prose(40_000),
  }
}
