import { strToU8 } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CARTRIDGE, EPUB, OPF, xhtmlPage, zip } from '../../../../tests/support/bookFiles'
import { mustBeOk } from '../../../base'
import type { BookUnit } from '../../../library'
import { printOutline, readShelfFile } from '../index'

const read = (name: string, bytes: Uint8Array) => mustBeOk(readShelfFile(name, bytes), name)
const outlineOf = (units: readonly BookUnit[] | undefined) =>
  (units ?? []).map(
    (u) => `${u.number} ${u.title}: ${u.lessons.map((l) => `${l.number} ${l.title}`).join(', ')}`,
  )

describe('an EPUB', () => {
  const found = read('snow.epub', zip(EPUB))

  it('is a textbook by its navigation', () => {
    expect(found.format).toBe('epub')
    expect(found.title).toBe('Snow and Ice')
    expect(outlineOf(found.book?.units)).toEqual([
      '1 Snow: 1.1 How it falls, 1.2 How it lies',
      '2 Snow and Ice: 2.1 Ice',
    ])
    expect(found.lessonOf).toEqual(['1.1', '1.2', '2.1'])
  })

  it('has its chapters as readings, cut where the next one begins, without what could run', () => {
    expect(found.pieces.map((p) => [p.kind, p.language, p.content])).toEqual([
      ['reading', 'de', '# Falling\n\nFlakes **grow** for 5\\$.\n\n(picture: a flake)'],
      ['reading', 'de', 'It lies.\n\nIt goes on, see [this](https://snow.example/deep).'],
      ['reading', 'de', '| t |\n| --- |\n| 0 °C |'],
    ])
  })

  it('tells what is not taken', () => {
    expect(found.rows.map((r) => [r.where, r.outcome, r.because.map((b) => b.code)])).toEqual([
      ['OPS/text/one.xhtml', 'taken-in-part', ['picture-left-out', 'could-run']],
      ['OPS/text/one.xhtml#lies', 'taken', []],
      ['OPS/text/two.xhtml', 'taken', []],
      ['OPS/cover.xhtml', 'refused', ['outside-navigation']],
    ])
  })

  it('of the second generation is read by its NCX', () => {
    const ncx = `<?xml version="1.0"?><!DOCTYPE ncx PUBLIC "-//NISO//DTD ncx 2005-1//EN" "http://x.example/ncx.dtd">
      <ncx xmlns="http://www.daisy.org/z3986/2005/ncx/" version="2005-1"><navMap><navPoint id="p1" playOrder="1">
      <navLabel><text>One</text></navLabel><content src="text/one.xhtml"/><navPoint id="p2"><navLabel><text>Lies</text>
      </navLabel><content src="text/one.xhtml#lies"/></navPoint></navPoint></navMap></ncx>`
    const opf = OPF.replace(
      '<item id="nav" href="nav.xhtml" media-type="application/xhtml+xml" properties="nav"/>',
      '<item id="ncx" href="toc.ncx" media-type="application/x-dtbncx+xml"/>',
    )
    const older = read('snow.epub', zip({ ...EPUB, 'OPS/book.opf': opf, 'OPS/toc.ncx': ncx }))
    expect(outlineOf(older.book?.units)).toEqual(['1 One: 1.1 One, 1.2 Lies'])
  })

  it('without navigation is refused, and with entities', () => {
    const { 'OPS/nav.xhtml': _, ...without } = EPUB
    expect(readShelfFile('s.epub', zip(without)).error?.code).toBe('formats/no-navigation')
    const opf = OPF.replace(
      '<package',
      '<!DOCTYPE package [<!ENTITY x SYSTEM "file:///etc/passwd">]><package',
    )
    expect(readShelfFile('s.epub', zip({ ...EPUB, 'OPS/book.opf': opf })).error?.code).toBe(
      'formats/has-entities',
    )
  })

  it('keeps the whole of a chapter that is too long for one piece', () => {
    const words = Array.from({ length: 3000 }, (_, i) => `<p>Sentence ${i} of a long chapter.</p>`).join('')
    const long = read('l.epub', zip({ ...EPUB, 'OPS/text/two.xhtml': xhtmlPage(words) }))
    const parts = long.pieces.filter((p) => p.title.startsWith('Ice'))
    expect(parts.map((p) => p.title)).toEqual(['Ice, part 1', 'Ice, part 2', 'Ice, part 3'])
    expect(parts.map((p) => p.content).join('\n\n')).toContain('Sentence 2999 of a long chapter.')
    expect(parts.flatMap((p) => p.content.match(/Sentence \d+/g) ?? [])).toHaveLength(3000)
  })
})

describe('a Common Cartridge', () => {
  const found = read('ice.imscc', zip(CARTRIDGE))

  it('is a textbook by its organization, with pages, links and questions', () => {
    expect(found.format).toBe('cartridge')
    expect(outlineOf(found.book?.units)).toEqual([
      '1 Forms of ice: 1.1 Hail, 1.2 Check on ice, 1.3 Talk about it, 1.4 A sheet',
    ])
    expect(
      found.pieces.map((p, i) => [p.kind, p.title, found.lessonOf[i], p.material.link, p.content]),
    ).toEqual([
      ['reading', 'About hail', '1.1', '', 'Hail is *hard*.'],
      ['link', 'Pictures of hail', '1.1', 'https://ice.example/hail', ''],
      ['check', 'Check on ice', '1.2', '', ''],
      ['practice-set', 'Questions', null, '', ''],
    ])
  })

  it('has questions of four kinds with what is right', () => {
    const items = found.pieces[2]?.items ?? []
    expect(items.map((i) => [i.kind, i.stem])).toEqual([
      ['single', 'Ice **floats**?'],
      ['multiple', 'Which are ice?'],
      ['text', 'Water freezes at … °C'],
      ['extended', 'Why?'],
    ])
    expect(items[0]).toMatchObject({ right: 'a' })
    expect(items[1]).toMatchObject({ right: ['a', 'c'] })
    expect(items[2]).toMatchObject({ accepted: ['0'] })
  })

  it('tells what is not taken', () => {
    const lost = found.rows.filter((r) => r.outcome !== 'taken')
    // all of them or nothing there
    const other = { code: 'scored-otherwise', what: 'hail', there: 0, here: 0.5, of: 1 }
    expect(lost.map((r) => [r.what, r.outcome, r.because])).toEqual([
      ['About hail', 'taken-in-part', [{ code: 'could-run', count: 1 }]],
      ['Which are ice?', 'taken-in-part', [other]],
      ['Without a key', 'refused', [{ code: 'no-key' }]],
      ['Talk about it', 'refused', [{ code: 'not-here', name: 'discussion' }]],
      ['A sheet', 'refused', [{ code: 'not-here', name: 'file sheet.pdf' }]],
      ['Which are ice?', 'taken-in-part', [other]],
      ['Without a key', 'refused', [{ code: 'no-key' }]],
    ])
  })
})

describe('an outline as a table', () => {
  const bytes = (text: string) => strToU8(text)

  it('of somebody else is a textbook; rows without a lesson or a length are named', () => {
    const { book, rows } = read(
      'Ice.csv',
      bytes('Unit;Lesson;Meetings\nSnow;Falling;2\n;Lying;1,5\nIce;;1\nIce;Hail;45 min\nIce;Rime;\n'),
    )
    expect(book?.title).toBe('Ice')
    expect(outlineOf(book?.units)).toEqual(['1 Snow: 1.1 Falling, 1.2 Lying', '2 Ice: 2.1 Rime'])
    expect(book?.units[0]?.lessons.map((l) => l.typicalMeetings)).toEqual([2, 1.5])
    expect(rows.filter((r) => r.outcome === 'refused').map((r) => [r.where, r.because[0]?.code])).toEqual([
      ['line 4', 'no-text'],
      ['line 5', 'not-meetings'],
    ])
  })

  it('is read as it was written', () => {
    const title = fc.stringMatching(/^[=+-]?[A-Z][a-z]{0,6} ?[a-z]$/)
    const lesson = fc.record({
      title,
      typicalMeetings: fc.integer({ min: 1, max: 80 }).map((n) => n / 2),
      kind: fc.constantFrom('lesson' as const, 'test' as const, 'project' as const, 'review' as const),
    })
    const unit = fc.record({ title, lessons: fc.array(lesson, { minLength: 1, maxLength: 4 }) })
    fc.assert(
      fc.property(fc.array(unit, { minLength: 1, maxLength: 5 }), (units) => {
        const made = units.map((u, i): BookUnit => ({
          number: `S${i + 1}`,
          title: u.title,
          lessons: u.lessons.map((l, n) => ({ id: `${i + 1}.${n + 1}`, number: `S${i + 1}.${n + 1}`, ...l })),
        }))
        expect(read('o.csv', bytes(printOutline({ units: made }))).book?.units).toEqual(made)
      }),
    )
  })
})

describe('pictures of a file', () => {
  it('leave their words, and are told of', () => {
    const text = '# Ice\n\nSee ![a flake](flake.png) and ![](x.png).'
    const { pieces, rows } = read('ice.md', strToU8(text))
    expect(pieces[0]?.content).toBe('See a flake and .')
    expect(rows.at(-1)?.because).toEqual([{ code: 'picture-left-out', count: 2 }])
  })
})
