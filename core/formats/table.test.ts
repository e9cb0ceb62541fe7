import { describe, expect, it } from 'vitest'
import { mustBeOk } from '../base'
import { parseCells } from './csv'
import { inOrderOf, readTable } from './table'
import type { TableReading } from './table'

const COLUMNS = { name: ['name', 'learner'], grade: ['grade'], note: ['note'] } as const
type Column = keyof typeof COLUMNS
const READING: TableReading<Column> = { columns: COLUMNS, needed: ['name'] }

function cellsOf(text: string, reading = READING): readonly string[] {
  const table = readTable<Column>(text, reading)
  if (!table.ok) throw new Error(table.error.code)
  return table.value.rows.map((row) => `${row.line}: ${row.cell('name')}/${row.cell('grade')}`)
}

describe('a table', () => {
  it('is read by its headings, in whatever order and with whatever between', () => {
    expect(cellsOf('Grade,Other,Learner\n7,x,Ann\n\n8,y,Bo')).toEqual(['2: Ann/7', '4: Bo/8'])
    for (const separator of [';', '\t', '|', ','])
      expect(cellsOf(['Name', 'Grade'].join(separator) + `\nAnn${separator}7`)).toEqual(['2: Ann/7'])
  })

  it('has its columns where the reader says when nothing heads them, or nowhere', () => {
    const headless = () => inOrderOf<Column>(COLUMNS)
    expect(inOrderOf<Column>(COLUMNS)).toEqual({ name: 0, grade: 1, note: 2 })
    expect(cellsOf('Ann,7\nBo,8', { ...READING, headless })).toEqual(['1: Ann/7', '2: Bo/8'])
    // where nothing can stand anywhere without headings, the first row heads the others, until somebody says otherwise
    expect(cellsOf('Ann,7\nBo,8')).toEqual(['2: /'])
    expect(cellsOf('Ann,7\nBo,8', { ...READING, chosen: { name: 0, headed: 0 } })).toEqual([
      '1: Ann/',
      '2: Bo/',
    ])
    expect(cellsOf('Who,What\nBo,8', { ...READING, headless, chosen: { name: 0, headed: 1 } })).toEqual([
      '2: Bo/',
    ])
  })

  it('gives cells as they were meant, and the whole row beside them', () => {
    const table = readTable<Column>("Name,Grade\n'-5 degrees,7", READING)
    expect(table.ok && table.value.rows[0]?.cell('name')).toBe('-5 degrees')
    expect(table.ok && table.value.rows[0]?.cells).toEqual(["'-5 degrees", '7'])
    expect(table.ok && table.value.rows[0]?.cell('note')).toBe('')
  })

  it('finds its separator below a title, among decimals and within lists', () => {
    const widths = (text: string) => mustBeOk(parseCells(text), 'cells').map((r) => r.cells.length)
    expect(widths('Plan, grade 8\n\nTopic;No;Length\nWaves;W1;1,5\nSound;W2;2,5')).toEqual([1, 3, 3, 3])
    expect(widths('name,groups,grade\nAda,Front;Lab;Late,8\n"Ash, Ben",Lab,8')).toEqual([3, 3, 3])
    expect(widths('a\tb, c, d, e\nf\tg')).toEqual([2, 2])
  })

  it('keeps a comma within quotes, and one column alone is one', () => {
    expect(cellsOf('Name,Grade\n"Smith, Ann",7')).toEqual(['2: Smith, Ann/7'])
    expect(cellsOf('Name\nAnn Smith\nBo Lee')).toEqual(['2: Ann Smith/', '3: Bo Lee/'])
  })
})
