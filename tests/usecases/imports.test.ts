import { describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { ResourceId } from '#core/base'
import { printCase, printItems } from '#core/formats'
import { frameworkFile, listFrameworks, outlineFile, pieceFile } from '#usecases/library/exports'
import {
  listImports,
  makeImport,
  previewImport,
  takeImportBack,
  takeSamples,
} from '#usecases/library/imports'
import { lookInside, showShelf } from '#usecases/library/shelf'
import { findPiece } from '#usecases/learning/findPiece'
import { adoptBook } from '#usecases/pacing/plans'
import { sampleReadings } from '../../demo/sampleReadings'
import { CARTRIDGE, EPUB, zip } from '../support/bookFiles'
import { at, everyKind, piecesOf } from '../support/made'
import { aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const file = (name: string, text: string | Uint8Array) => ({
  name,
  base64: Buffer.from(text).toString('base64'),
})
const standard = (code: string, parent: string | null) => ({
  standard: { code, text: `Do ${code}`, level: 'standard' as const, parent, requires: [] },
  outsideId: null,
})
const FRAMEWORK = { id: 'f', title: 'Science of X', outsideId: null, creator: null }
const CASE = printCase(FRAMEWORK, [standard('X', null), standard('X.1', 'X')], at('09-01T10:00'))

const shelf = async ({ deps, teacher }: TestSchool) => mustBeOk(await showShelf(deps, teacher), 'shelf')

describe('a file that is read in', () => {
  it('is looked at without changing anything, taken over whole, and taken back as one', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const bank = file('bank.csv', printItems(everyKind()))
    const before = await shelf(school)
    const seen = mustBeOk(await previewImport(deps, teacher, bank), 'look')
    expect(seen.rows.map((r) => r.outcome)).toEqual(Array(8).fill('taken'))
    expect(await shelf(school)).toEqual(before)
    const made = mustBeOk(await makeImport(deps, teacher, bank), 'take')
    expect(made.pieces).toHaveLength(1)
    const piece = (await shelf(school)).pieces.find((p) => p.id === made.pieces[0])
    expect(piece).toMatchObject({ title: 'bank', itemCount: 8, source: 'own' })
    const list = async () => mustBeOk(await listImports(deps, teacher), 'list').imports
    expect(await list()).toMatchObject([{ name: 'bank.csv', pieces: 1, takenBackAt: null }])
    mustBeOk(await takeImportBack(deps, teacher, made.importId), 'back')
    expect(await shelf(school)).toEqual(before)
    expect((await list())[0]?.takenBackAt).not.toBeNull()
    expect((await takeImportBack(deps, teacher, made.importId)).error?.code).toBe('access/not-found')
  })

  it('leads from one reading to the other: teachers at the shelf, learners to what they were given', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, stranger } = school
    const files = zip({ 'a.md': '# First\n\nOn to [the second](b.md).', 'b.md': '# Second\n\nEnd.' })
    const { pieces } = mustBeOk(await makeImport(deps, teacher, file('r.zip', files)), 'take')
    const [first, second] = [pieces[0] ?? asId<ResourceId>('none'), pieces[1] ?? asId<ResourceId>('none')]
    const shown = mustBeOk(await lookInside(deps, teacher, first), 'piece')
    expect(shown.resource.content).toBe(`On to [the second](piece:${second}).`)
    const place = async () => mustBeOk(await findPiece(deps, ann, second), 'place').place
    expect(await place()).toBeNull()
    const work = await publish(school, { pieces: piecesOf(second) })
    expect(await place()).toEqual({ kind: 'work', assignmentId: work, pieceId: 'p1' })
    expect((await lookInside(deps, stranger, second)).error?.code).toBe('access/not-found')
  })

  it('is not taken back while work gives it out', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const made = mustBeOk(await makeImport(deps, teacher, file('r.md', '# Ropes\n\nShake one.')), 'take')
    await publish(school, { pieces: piecesOf(...made.pieces) })
    expect((await takeImportBack(deps, teacher, made.importId)).error?.code).toBe('library/piece-in-use')
    expect((await shelf(school)).pieces.some((p) => p.id === made.pieces[0])).toBe(true)
  })

  it('brings standards for the school, and leaves those that are there', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    const made = mustBeOk(await makeImport(deps, teacher, file('x.json', CASE)), 'take')
    expect(made.standards).toBe(2)
    expect((await shelf(school)).standards.map((s) => s.code)).toEqual(['X', 'X.1'])
    expect(mustBeOk(await showShelf(deps, stranger), 'shelf').standards).toEqual([])
    const again = mustBeOk(await previewImport(deps, teacher, file('x.json', CASE)), 'look')
    expect(again.standards).toEqual([])
    expect(again.rows.map((r) => r.because[0])).toEqual([
      { code: 'code-twice', name: 'X' },
      { code: 'code-twice', name: 'X.1' },
    ])
    expect((await makeImport(deps, teacher, file('x.json', CASE))).error?.code).toBe('formats/nothing-taken')
    const [framework] = mustBeOk(await listFrameworks(deps, teacher), 'list').frameworks
    const out = mustBeOk(await frameworkFile(deps, teacher, framework?.id ?? ''), 'file')
    const ids = (text: string) =>
      (JSON.parse(text) as { CFItems: { identifier: string }[] }).CFItems.map((i) => i.identifier)
    expect(ids(String(out.text))).toEqual(ids(CASE))
    expect((await frameworkFile(deps, stranger, framework?.id ?? '')).error?.code).toBe('access/not-found')
    mustBeOk(await takeImportBack(deps, teacher, made.importId), 'back')
    expect((await shelf(school)).standards).toEqual([])
  })

  it('that cannot be read changes nothing, and is nobody’s but a teacher’s', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const before = await shelf(school)
    for (const [name, text, code] of [
      ['x.xml', '<!DOCTYPE a [<!ENTITY b "c">]><assessmentItem/>', 'formats/has-entities'],
      ['x.csv', 'kind,question\ndrawing,Draw', 'formats/nothing-taken'],
      ['x.zip', 'PK no', 'formats/not-a-package'],
      ['x.json', '{}', 'formats/no-framework'],
    ] as const)
      expect((await makeImport(deps, teacher, file(name, text))).error?.code).toBe(code)
    expect(await shelf(school)).toEqual(before)
    const made = mustBeOk(await makeImport(deps, teacher, file('r.md', 'Hi')), 'take')
    const colleague = await aColleague(school)
    expect((await takeImportBack(deps, colleague, made.importId)).error?.code).toBe('access/not-found')
  })
})

describe('a piece as a file', () => {
  it('goes out as QTI and as a table, and comes in again the same', async () => {
    const school = await aSchool()
    const { deps, teacher, check, items } = school
    for (const as of ['qti', 'csv'] as const) {
      const out = mustBeOk(await pieceFile(deps, teacher, { resourceId: check, as }), 'file')
      expect(out.name).toBe(as === 'qti' ? 'chk101.zip' : 'chk101.csv')
      const seen = mustBeOk(await previewImport(deps, teacher, file(out.name, out.text)), 'look')
      const named = items.map((item, i) => (as === 'csv' ? { ...item, id: `q${i + 1}` } : item))
      expect(seen.pieces[0]?.items).toEqual(named)
    }
  })
})

describe('a textbook that is read in', () => {
  it('stands on the shelf of the school with its pieces in its lessons, and is taken back as one', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    const before = await shelf(school)
    const made = mustBeOk(await makeImport(deps, teacher, file('snow.epub', zip(EPUB))), 'take')
    const now = await shelf(school)
    const book = now.books.find((b) => b.id === made.book)
    expect(book?.units.map((u) => u.lessons.map((l) => l.title))).toEqual([
      ['How it falls', 'How it lies'],
      ['Ice'],
    ])
    const lessons = book?.units.flatMap((u) => u.lessons) ?? []
    const titles = lessons.map((l) => now.pieces.filter((p) => p.bookLessonId === l.id).map((p) => p.title))
    expect(titles).toEqual([['How it falls'], ['How it lies'], ['Ice']])
    const colleague = await aColleague(school)
    const theirs = mustBeOk(await showShelf(deps, colleague), 'shelf')
    expect(theirs.books.some((b) => b.id === made.book)).toBe(true)
    expect(theirs.pieces.filter((p) => p.bookId === made.book)).toHaveLength(3)
    expect(mustBeOk(await showShelf(deps, stranger), 'shelf').books.some((b) => b.id === made.book)).toBe(
      false,
    )
    mustBeOk(await takeImportBack(deps, teacher, made.importId), 'back')
    expect(await shelf(school)).toEqual(before)
  })

  it('is the ground of a plan, of its own school only, and then stays', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    const made = mustBeOk(await makeImport(deps, teacher, file('ice.imscc', zip(CARTRIDGE))), 'take')
    if (made.book === null) throw new Error('no book')
    expect((await adoptBook(deps, stranger, made.book)).error?.code).toBe('access/not-found')
    mustBeOk(await adoptBook(deps, teacher, made.book), 'adopt')
    expect((await takeImportBack(deps, teacher, made.importId)).error?.code).toBe('library/book-in-use')
    expect((await shelf(school)).pieces.filter((p) => made.pieces.includes(p.id))).toHaveLength(4)
  })

  it('goes out as a table that comes in again with the same lessons', async () => {
    const { deps, teacher, stranger } = await aSchool()
    const table = 'Unit,Lesson,Meetings\nSnow,Falling,2\nSnow,Lying,1.5\n'
    const made = mustBeOk(await makeImport(deps, teacher, file('Snow.csv', table)), 'take')
    if (made.book === null) throw new Error('no book')
    const out = mustBeOk(await outlineFile(deps, teacher, made.book), 'file')
    expect(out.name).toBe('Snow.csv')
    const again = mustBeOk(await previewImport(deps, teacher, file(out.name, out.text)), 'look')
    expect(again.book?.units[0]?.lessons.map((l) => [l.title, l.typicalMeetings])).toEqual([
      ['Falling', 2],
      ['Lying', 1.5],
    ])
    expect((await outlineFile(deps, stranger, made.book)).error?.code).toBe('access/not-found')
  })
})

describe('the sample textbooks', () => {
  it('come to a school once, with their pieces in their lessons, and are taken back', async () => {
    const school = await aSchool()
    const { deps, teacher, stranger } = school
    const samples = sampleReadings()
    const before = await shelf(school)
    const taken = mustBeOk(await takeSamples(deps, teacher, samples), 'take')
    expect(taken).toEqual({ books: 2, pieces: samples.reduce((n, s) => n + s.pieces.length, 0) })
    const now = await shelf(school)
    const lessons = new Set(now.books.flatMap((b) => b.units.flatMap((u) => u.lessons.map((l) => l.id))))
    const inLessons = now.pieces.filter((p) => p.bookLessonId !== null && lessons.has(p.bookLessonId))
    expect(inLessons).toHaveLength(taken.pieces)
    expect(now.standards.length).toBeGreaterThan(before.standards.length)
    expect(mustBeOk(await showShelf(deps, stranger), 'shelf').books).toEqual([])
    expect((await takeSamples(deps, teacher, samples)).error?.code).toBe('access/not-found')
    expect((await takeSamples(deps, teacher, [])).error?.code).toBe('access/not-found')
    for (const made of mustBeOk(await listImports(deps, teacher), 'imports').imports)
      mustBeOk(await takeImportBack(deps, teacher, made.id), 'back')
    expect(await shelf(school)).toEqual(before)
  })
})
