import { strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { EPUB, zip } from '../../../tests/support/bookFiles'
import { readGivenFile } from './givenFile'

const PDF = strToU8('%PDF-1.7\n1 0 obj\n<< >>\nendobj\n')
const PNG = Uint8Array.from([
  0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52,
])
const SHEET = zip({
  '[Content_Types].xml':
    '<Types><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.' +
    'spreadsheetml.sheet.main+xml"/></Types>',
  'xl/workbook.xml': '<workbook/>',
})
const wide = (text: string) =>
  Uint8Array.from([0xff, 0xfe, ...text].flatMap((c) => (typeof c === 'number' ? [c] : [c.charCodeAt(0), 0])))

describe('a file that is not what its name says', () => {
  it.each([
    ['bank.csv', PDF, 'csv', 'pdf'],
    ['book.epub', PDF, 'epub', 'pdf'],
    ['book.epub', strToU8('Once upon a time'), 'epub', 'text'],
    ['reading.md', PNG, 'md', 'png'],
    ['bank.csv', zip(EPUB), 'csv', 'epub'],
    ['bank.csv', SHEET, 'csv', 'xlsx'],
    ['items.xml', strToU8('stem,points\na,1\n'), 'xml', 'text'],
    ['frame.json', strToU8('stem,points\na,1\n'), 'json', 'text'],
  ])('%s is refused with both', async (name, bytes, named, is) => {
    const read = await readGivenFile(name, bytes)
    expect(read.error).toEqual({ code: 'formats/other-file', field: 'file', named, is })
  })

  it('is named, too, where the name says it and it is not read here', async () => {
    expect((await readGivenFile('bank.xlsx', SHEET)).error).toMatchObject({ named: 'xlsx', is: 'xlsx' })
    expect((await readGivenFile('sheet.pdf', PDF)).error).toMatchObject({ named: 'pdf', is: 'pdf' })
  })

  it('is read where it is what it says, in any encoding, and where its name says nothing', async () => {
    expect((await readGivenFile('snow.epub', zip(EPUB))).value?.format).toBe('epub')
    expect((await readGivenFile('snow.zip', zip(EPUB))).value?.format).toBe('epub')
    expect((await readGivenFile('snow', zip(EPUB))).value?.format).toBe('epub')
    expect((await readGivenFile('ice.md', strToU8('# Ice\n\nCold.'))).value?.format).toBe('markdown')
    const xml = '<?xml version="1.0" encoding="utf-16"?><assessmentItem/>'
    expect((await readGivenFile('i.xml', wide(xml))).error?.code).not.toBe('formats/other-file')
    const ics = strToU8('BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n')
    expect((await readGivenFile('c.ics', ics)).error?.code).toBe('formats/read-elsewhere')
    expect((await readGivenFile('e.csv', new Uint8Array())).error?.code).toBe('formats/empty')
  })
})
