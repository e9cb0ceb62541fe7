import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { FileId, ResourceId } from '../base'
import { checkResource } from './checkResource'
import { quickFile, quickPiece } from './quickPiece'

const made = (typed: string) => quickPiece(typed, { grade: 8 })

describe('quickPiece', () => {
  it('is something to do, called as it was typed', () => {
    expect(made(' p. 84, 1 to 9 ')).toMatchObject({
      title: 'p. 84, 1 to 9',
      kind: 'reading',
      content: 'p. 84, 1 to 9',
      grade: 8,
    })
    expect(made('   ')).toBeNull()
    expect(made('x'.repeat(300))?.title).toHaveLength(120)
  })

  it('is a link where an address is pasted, called by its place', () => {
    const titleOf = (typed: string) => made(typed)?.title
    expect(made('https://www.museum.example/sea/tides-and-moon.html')).toMatchObject({
      title: 'museum.example: tides and moon',
      kind: 'link',
      material: { link: 'https://www.museum.example/sea/tides-and-moon.html' },
    })
    expect(titleOf('https://museum.example')).toBe('museum.example')
    expect(titleOf('https://museum.example/100%25')).toBe('museum.example: 100%')
    expect(titleOf('https://museum.example/%E0%A4')).toBe('museum.example: %E0%A4')
    // what is not to be opened is only words
    expect(made('http://museum.example')?.kind).toBe('reading')
    expect(made('javascript:alert(1)')?.kind).toBe('reading')
  })

  it('is a file where one is chosen or dropped, called by its name', () => {
    const file = {
      id: asId<FileId>('f1'),
      name: 'tide_table-spring.pdf',
      sort: 'document',
      size: 9,
    } as const
    const piece = quickFile({ ...file, type: 'application/pdf' }, { grade: 8 })
    expect(piece).toMatchObject({ title: 'tide table spring', kind: 'file', material: { files: [file] } })
    expect(checkResource({ ...piece, id: asId<ResourceId>('x'), code: 'own1' }).ok).toBe(true)
    expect(quickFile({ ...file, type: 'application/pdf', name: '.pdf' }, { grade: 8 }).title).toBe('.pdf')
  })

  it('can stand on the shelf as it is', () => {
    for (const typed of ['p. 84', 'https://museum.example/tides']) {
      const piece = made(typed)
      if (!piece) throw new Error('nothing made')
      const id = asId<ResourceId>('x')
      expect(checkResource({ ...piece, id, code: 'own1' }).ok).toBe(true)
    }
  })
})
