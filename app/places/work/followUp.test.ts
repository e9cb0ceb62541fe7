import { describe, expect, it } from 'vitest'
import { NO_WINDOW } from '#core/availability'
import { asId, isoDay } from '#core/base'
import type { PieceId, ResourceId } from '#core/base'
import { rulesOf } from '#core/work'
import { ids } from '../../../tests/support/made'
import { followUpDraft, windowInMeetings } from './followUp'
import type { FollowUpGiven } from './followUp'
import type { StartingCard } from './pieceRules'

const card = (name: string, kind: StartingCard['kind']): StartingCard => ({
  id: asId<ResourceId>(name),
  title: name,
  kind,
  revision: 2,
  bookLessonId: null,
  itemCount: 5,
})
const cards = [card('trains', 'practice-set'), card('read', 'reading')]
const [ann, ben] = [ids.user('ann'), ids.user('ben')]
const given = (part: Partial<FollowUpGiven> = {}): FollowUpGiven => ({
  classId: ids.class('a'),
  accepted: [
    { learnerId: ann, pieceId: asId('trains') },
    { learnerId: ben, pieceId: asId('trains') },
    { learnerId: ben, pieceId: asId('read') },
  ],
  cardOf: new Map(cards.map((c) => [c.id, c])),
  then: null,
  title: 'After Check',
  category: 'Practice',
  followsUp: { assignmentId: ids.work('w'), pieceId: asId<PieceId>('p1') },
  window: NO_WINDOW,
  ...part,
})

describe('follow-up as one work', () => {
  it('names for each piece who has it, unless that is everybody', () => {
    const draft = followUpDraft(given(), [])
    expect(draft.pieces.map((p) => [p.id, p.resourceId, p.revision, p.onlyIds])).toEqual([
      ['p1', 'trains', 2, undefined],
      ['p2', 'read', 2, [ben]],
    ])
    expect(draft.targets.map((t) => t.target)).toEqual([
      { kind: 'learner', learnerId: ann },
      { kind: 'learner', learnerId: ben },
    ])
    expect(draft.about).toMatchObject({ category: 'Practice', followsUp: given().followsUp })
    expect([draft.title, draft.inTurn]).toEqual(['After Check', false])
  })

  it('has a second check for everybody when the rest is done, by the rules of its kind', () => {
    const draft = followUpDraft(given({ then: card('again', 'check') }), [])
    const last = draft.pieces.at(-1)
    expect([last?.resourceId, last?.onlyIds, draft.inTurn]).toEqual(['again', undefined, true])
    expect(last && rulesOf(draft, last).maxAttempts).toBe(2)
    const [first] = draft.pieces
    expect(first && rulesOf(draft, first).maxAttempts).toBeNull()
  })

  it('opens and is due when meetings begin, counted from now', () => {
    const now = { on: isoDay('2026-10-21'), minuteOfDay: 870 }
    const meeting = (count: number) => ({ kind: 'meeting', ...now, count, at: 'class-start' })
    expect(windowInMeetings({ opens: 1, due: 3 }, now)).toEqual({
      ...NO_WINDOW,
      opens: meeting(1),
      due: meeting(3),
    })
    expect(windowInMeetings({ opens: null, due: null }, now)).toEqual(NO_WINDOW)
  })
})
