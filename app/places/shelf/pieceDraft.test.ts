import { describe, expect, it } from 'vitest'
import { RESOURCE_KINDS, checkResource } from '#core/library'
import { aCheck, everyKind, single } from '../../../tests/support/made'
import { emptyPiece, firstItems, toPieceDraft, toWritten } from './pieceDraft'

describe('a piece that is written again', () => {
  it('comes back as it was', () => {
    const piece = aCheck(everyKind(), { standards: ['TH.8.W.1'], readingLevel: 7, content: 'Look.' })
    const { id, ...written } = piece
    expect(id).toBe('r1')
    expect(toWritten(toPieceDraft(piece))).toEqual(written)
  })

  it('names the standards of its questions once', () => {
    const piece = aCheck([{ ...single('1'), standard: 'A.1' }], { standards: ['A.1', 'A.2'] })
    expect(toPieceDraft(piece).standards).toEqual(['A.2'])
  })

  it('leaves behind what its kind does not have', () => {
    const draft = { ...emptyPiece(), kind: 'link' as const, link: ' https://example.org/a ', transcript: 'x' }
    expect(toWritten(draft)).toMatchObject({
      items: [],
      material: { link: 'https://example.org/a', transcript: '' },
    })
  })
})

describe('a new piece', () => {
  it('begins with what its kind needs, and keeps what was written', () => {
    for (const kind of RESOURCE_KINDS) {
      const items = firstItems(kind, [])
      const words = [{ word: 'wave', meaning: 'a way', example: '' }]
      const of = {
        ...emptyPiece(),
        kind,
        items,
        words,
        link: 'https://example.org',
        title: 'T',
        code: 'own1',
      }
      // what is missing is in the questions, or the file, never in what belongs to the kind
      const code = checkResource({ ...aCheck([]), ...toWritten(of) }).error?.code
      expect([undefined, 'library/too-few-options', 'library/no-file'], kind).toContain(code)
    }
    const written = [{ ...emptyPiece().items[0]!, stem: 'Why?' }]
    expect(firstItems('link', written)).toBe(written)
  })
})
