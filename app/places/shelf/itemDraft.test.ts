import { describe, expect, it } from 'vitest'
import { everyKind, multiple, numeric, single, text } from '../../../tests/support/made'
import { newDraft, toDraft, toItems } from './itemDraft'

describe('questions that are written again', () => {
  it('come back as they were, under their own names', () => {
    const items = [
      { ...single('q2'), standard: 'TH.8.W.3', difficulty: 5 as const, hint: 'Count them.' },
      multiple('q1'),
      numeric('q7'),
      text('q4'),
    ]
    expect(toItems(items.map(toDraft))).toEqual(items)
  })

  it('come back as they were, whatever their kind', () => {
    expect(toItems(everyKind().map(toDraft))).toEqual(everyKind())
  })

  it('leave their names to themselves when others are added', () => {
    const added = { ...newDraft('text'), stem: 'What is it?', typed: { accepted: 'a wave' } }
    const ids = toItems([toDraft(single('q2')), added, toDraft(single('q3')), added]).map((i) => i.id)
    expect(ids).toEqual(['q2', 'q4', 'q3', 'q5'])
    expect(toItems([added, added]).map((i) => i.id)).toEqual(['q1', 'q2'])
  })
})
