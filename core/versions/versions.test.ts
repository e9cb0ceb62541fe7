import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ItemId } from '../base'
import { checkLayer } from './checkLayer'
import { compareVersions } from './compare'
import { composeVersion } from './composeVersion'
import { EMPTY_LAYER, partsIn } from './emptyLayer'
import { keptItems } from './keptItems'
import { markOf, placeMarks } from './marks'
import { mended, misfitsOf } from './misfits'
import { newSort } from './newSort'
import { cellsOf, tableRows } from './organiser'
import { readAs } from './readAs'
import { isSupportItem, organiserOf } from './supportItems'
import { aMark, aPiece, aQuestion } from './testing'
import type { Layer } from './types'

const layer = (part: Partial<Layer>): Layer => ({ ...EMPTY_LAYER, ...part })
const LEGEND = [{ id: 'cause', name: 'Cause', look: 'line' }] as const
const item = (id: string) => asId<ItemId>(id)

describe('a text as it is read', () => {
  it('has words without marks, a block a line', () => {
    const source =
      '# Waves\n\nA **wave** carries\n*energy* ([more](https://x.org)).\n\n- one `k`\n- two\n\n---\n1. go'
    expect(readAs(source)).toBe('Waves\nA wave carries energy (more).\none k\ntwo\ngo')
  })

  it('leaves stars and underlines that are none of emphasis', () => {
    expect(readAs('2 * 3 * 4 and a_b_c and \\*this\\*')).toBe('2 * 3 * 4 and a_b_c and *this*')
  })

  it('reads tables cell by cell', () => {
    expect(readAs('| a | b |\n|---|---|\n| c | d |')).toBe('a\nb\nc\nd')
  })
})

describe('marks', () => {
  it('are found by their words, at the place that is meant', () => {
    const { placed } = placeMarks('Heat moves. **Heat** stays.', [aMark('cause', 'Heat', 2)])
    expect(placed.map((p) => [p.start, p.end])).toEqual([[12, 16]])
  })

  it('are gone where the words are not there so often, and named where they lie over each other', () => {
    const marks = [
      aMark('cause', 'cold'),
      aMark('cause', 'Heat', 3),
      aMark('cause', 'Heat moves'),
      aMark('cause', 'moves'),
    ]
    const { placed, gone, overlapping } = placeMarks('Heat moves. Heat stays.', marks)
    expect(gone).toEqual(marks.slice(0, 2))
    expect(placed.map((p) => p.mark)).toEqual([marks[2]])
    expect(overlapping).toEqual([[marks[2], marks[3]]])
  })

  it('are made from words that somebody selected', () => {
    const text = 'Heat moves.\n\n*Heat* stays.'
    expect(markOf(text, { before: 'Heat moves.\n\n', words: ' Heat ' }, 'cause')).toEqual(
      aMark('cause', 'Heat', 2),
    )
    expect(markOf(text, { before: '', words: 'Heat' }, 'cause')).toEqual(aMark('cause', 'Heat', 1))
    expect(markOf(text, { before: '', words: 'moves.\nHeat' }, 'cause')?.nth).toBe(1)
    expect(markOf(text, { before: '', words: 'cold' }, 'cause')).toBeNull()
    expect(markOf(text, { before: '', words: '  ' }, 'cause')).toBeNull()
  })
})

describe('a further kind of mark', () => {
  it('has a name and a look of its own, as long as there are any', () => {
    const second = newSort(LEGEND, 'Effect')
    expect(second).toEqual({ id: 'm1', name: 'Effect', look: 'wave' })
    const all = ['m1', 'm2', 'm3', 'm4', 'm5', 'm6'].map((id) => ({ id, name: id, look: 'line' }) as const)
    expect(newSort(all, 'more')).toBeNull()
    expect(newSort(all.slice(1), 'first')?.id).toBe('m1')
  })
})

describe('a composed version', () => {
  const core = aPiece({
    content: 'Heat moves. Heat stays.',
    items: [aQuestion('a', 'S.1'), aQuestion('b', 'S.1'), aQuestion('c', 'S.2'), aQuestion('d', 'S.2')],
  })

  it('keeps the core and adds to it', () => {
    const made = composeVersion(
      core,
      layer({ wordBank: ['heat'], hints: [{ itemId: item('b'), hint: 'Think of ice.' }] }),
    )
    expect(made.resource.content).toBe(core.content)
    expect(made.resource.items.map((i) => i.hint)).toEqual(['', 'Think of ice.', '', ''])
    expect(made.support.wordBank).toEqual(['heat'])
  })

  it('has several organisers one after the other, each under a name of its own; the first keeps the one it had', () => {
    const line = { kind: 'time-line', points: 2, filled: {} } as const
    const claim = { kind: 'claim', reasons: 1, filled: {} } as const
    const organisers = [line, claim]
    const { items } = composeVersion(core, layer({ organisers })).resource
    const ids = items.filter(isSupportItem).map((item) => item.id)
    expect(ids).toEqual(['support-planner', 'support-planner-2'])
    expect(ids.map((id) => organiserOf(organisers, id))).toEqual(organisers)
    expect(organiserOf(organisers, item('1'))).toBeNull()
  })

  it('has what there is to fill in before its questions: the organiser’s open cells, and the frames', () => {
    const organiser = { kind: 'time-line', points: 3, filled: { p2: 'It melts' } } as const
    const frames = [{ id: 'f1', text: 'Ice [1] at [2].' }]
    const { items } = composeVersion(core, layer({ organisers: [organiser], frames })).resource
    expect(items.map((i) => [i.id, i.points, 'passage' in i ? i.passage : ''])).toEqual([
      ['support-planner', 0, '[1] [3]'],
      ['support-f1', 0, 'Ice [1] at [2].'],
      ...['a', 'b', 'c', 'd'].map((id) => [id, 1, '']),
    ])
  })

  it('shows only marks that are in the text, and their legend', () => {
    const marks = [aMark('cause', 'Heat moves'), aMark('effect', 'gone')]
    const legend = [...LEGEND, { id: 'effect', name: 'Effect', look: 'box' } as const]
    const { support } = composeVersion(core, layer({ marks, legend }))
    expect(support.marks).toEqual(marks.slice(0, 1))
    expect(support.legend.map((l) => l.name)).toEqual(['Cause'])
  })

  it('asks chosen questions, or a share of each standard, and never none', () => {
    const ids = (kept: Layer['items']) => keptItems(core.items, kept).map((i) => i.id)
    expect(ids({ kind: 'chosen', itemIds: [item('d'), item('a')] })).toEqual(['a', 'd'])
    expect(ids({ kind: 'share', percent: 50 })).toEqual(['a', 'c'])
    expect(ids({ kind: 'share', percent: 60 })).toEqual(['a', 'b', 'c', 'd'])
    expect(ids({ kind: 'share', percent: 10 })).toEqual(['a', 'c'])
    expect(ids({ kind: 'chosen', itemIds: [item('z')] })).toEqual(['a', 'b', 'c', 'd'])
  })

  it('has the new words of a core that was changed', () => {
    const later = { ...core, content: core.content.replace('stays', 'leaves') }
    expect(composeVersion(later, layer({ steps: ['Read'] })).resource.content).toContain('Heat leaves.')
  })
})

describe('what no longer fits', () => {
  const broken = layer({
    legend: LEGEND,
    marks: [aMark('cause', 'the warm water rises'), aMark('cause', 'quite another thing')],
    hints: [{ itemId: item('x'), hint: 'h' }],
    items: { kind: 'chosen', itemIds: [item('x')] },
  })
  const core = aPiece({ content: 'So the warm air rises, and cools.', items: [aQuestion('a', null)] })

  it('is named, with the words most like those that are gone', () => {
    const found = misfitsOf(core, broken)
    expect(found.map((m) => m.code)).toEqual([
      'versions/mark-gone',
      'versions/mark-gone',
      'versions/hint-without-item',
      'versions/chosen-item-gone',
      'versions/nothing-chosen',
    ])
    expect(found[0]).toMatchObject({ mended: { quote: 'the warm air rises', nth: 1 } })
    expect(found[1]).toMatchObject({ mended: null })
  })

  it('can be mended, one after another, until all fits', () => {
    let now = broken
    for (let rounds = 0; misfitsOf(core, now).length > 0 && rounds < 10; rounds++) {
      const [first] = misfitsOf(core, now)
      if (first) now = mended(now, first)
    }
    expect(now).toMatchObject({ hints: [], items: { kind: 'all' } })
    expect(now.marks.map((m) => m.quote)).toEqual(['the warm air rises'])
    expect(checkLayer(core, now).ok).toBe(true)
  })
})

describe('a layer is refused', () => {
  const core = aPiece({ content: 'Heat moves. Heat stays.', items: [aQuestion('a', null)] })
  const codeOf = (part: Partial<Layer>) => {
    const checked = checkLayer(core, layer(part))
    return checked.ok ? null : checked.error.code
  }

  it('for marks outside the text, over each other, or of no kind', () => {
    expect(codeOf({ legend: LEGEND, marks: [aMark('cause', 'cold')] })).toBe('versions/mark-outside-text')
    const over = [aMark('cause', 'Heat moves'), aMark('cause', 'moves')]
    expect(codeOf({ legend: LEGEND, marks: over })).toBe('versions/marks-overlap')
    expect(codeOf({ marks: [aMark('cause', 'Heat')] })).toBe('versions/mark-without-legend')
  })

  it('for words twice, frames without a blank, and questions that are not there', () => {
    expect(codeOf({ wordBank: ['Heat', ' heat'] })).toBe('versions/same-word-twice')
    expect(codeOf({ frames: [{ id: 'f1', text: 'No blank' }] })).toBe('versions/frame-without-blank')
    expect(codeOf({ hints: [{ itemId: item('z'), hint: 'h' }] })).toBe('versions/unknown-item')
    expect(codeOf({ items: { kind: 'share', percent: 0 } })).toBe('versions/bad-share')
    expect(codeOf({ items: { kind: 'chosen', itemIds: [] } })).toBe('versions/bad-share')
  })

  it('for one organiser of several that has nothing to fill in', () => {
    const web = { kind: 'web', centre: 'Heat', branches: 2, filled: {} } as const
    const full = { kind: 'web', centre: 'Heat', branches: 1, filled: { b1: 'x' } } as const
    expect(codeOf({ organisers: [web, web] })).toBeNull()
    expect(codeOf({ organisers: [web, full] })).toBe('versions/organiser-full')
  })

  it('for an organiser without cells, or without one to fill in', () => {
    const empty = { kind: 'table', columns: [], rows: ['a'], filled: {} } as const
    expect(codeOf({ organisers: [empty] })).toBe('versions/organiser-size')
    expect(codeOf({ organisers: [{ kind: 'web', centre: 'Heat', branches: 1, filled: { b1: 'x' } }] })).toBe(
      'versions/organiser-full',
    )
    expect(codeOf({ organisers: [{ kind: 'time-line', points: 2, filled: { p1: 'x' } }] })).toBeNull()
  })

  it('for something to fill in where nothing is handed in', () => {
    const read = aPiece({ content: 'Heat.', items: [] })
    const web = { kind: 'web', centre: 'Heat', branches: 2, filled: {} } as const
    expect(checkLayer(read, layer({ organisers: [web] }))).toMatchObject({
      error: { code: 'versions/nothing-handed-in' },
    })
    expect(checkLayer(core, layer({ organisers: [web] })).ok).toBe(true)
  })

  it('but HTML in a word bank is text like any other', () => {
    expect(codeOf({ wordBank: ['<b>heat</b>'] })).toBeNull()
  })
})

describe('a table to fill in', () => {
  it('is had line by line; what is no table has no lines', () => {
    const table = { kind: 'table', columns: ['A', 'B'], rows: ['x', 'y'], filled: { r2c1: 'z' } } as const
    expect(tableRows(table).map(({ row, cells }) => [row, ...cells.map((c) => c.given)])).toEqual([
      ['x', null, null],
      ['y', 'z', null],
    ])
    expect(tableRows({ kind: 'web', centre: 'Heat', branches: 2, filled: {} })).toEqual([])
  })
})

describe('an organiser', () => {
  it('has its cells in the order in which they are filled in', () => {
    const ids = (o: Parameters<typeof cellsOf>[0]) => cellsOf(o).map((c) => c.id)
    expect(ids({ kind: 'table', columns: ['x', 'y'], rows: ['1', '2'], filled: {} })).toEqual([
      'r1c1',
      'r1c2',
      'r2c1',
      'r2c2',
    ])
    expect(ids({ kind: 'claim', reasons: 2, filled: {} })).toEqual([
      'claim',
      'reason1',
      'evidence1',
      'reason2',
      'evidence2',
    ])
    expect(cellsOf({ kind: 'web', centre: 'c', branches: 2, filled: { b2: 'given' } })[1]).toMatchObject({
      given: 'given',
    })
  })
})

describe('versions beside each other', () => {
  it('differ where they do, and nowhere else', () => {
    const core = aPiece({
      content: 'Heat moves.\n\nIce melts.',
      items: [aQuestion('a', null), aQuestion('b', null)],
    })
    const marked = layer({ legend: LEGEND, marks: [aMark('cause', 'Heat')] })
    const guided = layer({ ...marked, steps: ['Read'], items: { kind: 'chosen', itemIds: [item('a')] } })
    const blocks = compareVersions(core, [EMPTY_LAYER, marked, guided])
    expect(blocks.map((b) => [b.kind, b.differs])).toEqual([
      ['text', true],
      ['text', false],
      ['item', false],
      ['item', true],
      ['part', true],
      ['part', true],
      ['part', true],
    ])
  })

  it('says which parts a layer has', () => {
    expect(partsIn(EMPTY_LAYER)).toEqual([])
    expect(partsIn(layer({ readAloud: true, steps: ['a'] }))).toEqual(['steps', 'readAloud'])
  })
})
