import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ResourceId, TrailId } from '#core/base'
import { keyOf } from '#core/audience'
import type { Moment } from '#core/availability'
import type { AssignmentTarget } from '#core/work'
import { P1, ids, piecesOf, rules } from '../../../tests/support/made'
import { differing, hasOwn, limitsOf, pieceOf, targetOf, withLimits, withMoment, withVersion } from './draft'

const room: AssignmentTarget = { target: { kind: 'class', classId: ids.class('a') }, overrides: {} }
const day: Moment = { kind: 'day', on: '2026-09-14' as never }

describe('a draft', () => {
  it('names a further piece as none of the others is named, also after one was taken out', () => {
    const card = { id: asId<ResourceId>('r'), revision: 3 }
    const [first, second] = piecesOf(card.id, card.id)
    expect(pieceOf(card, [])).toMatchObject({ id: 'p1', resourceId: 'r', revision: 3 })
    expect(pieceOf(card, [second!]).id).toBe('p3')
    expect(pieceOf(card, [first!]).id).toBe('p2')
  })

  it('keeps of a piece’s rules what differs, and nothing of what is the same', () => {
    const base = rules()
    expect(differing(base, { ...base, help: [...base.help] })).toEqual({})
    expect(differing(base, { ...base, waitMinutes: 9 })).toEqual({ waitMinutes: 9 })
  })

  it('finds a target again by its key', () => {
    for (const target of [room.target, { kind: 'learner', learnerId: ids.user('ann') } as const])
      expect(targetOf(keyOf(target))).toEqual(target)
  })
})

describe('what a target has of its own', () => {
  it('is set and taken off field by field, down to nothing', () => {
    const due = withMoment({}, 'due', day)
    const both = withMoment(due, 'closes', null)
    expect(both.window).toEqual({ due: day, closes: null })
    expect(withMoment(withMoment(both, 'due', undefined), 'closes', undefined)).toEqual({})
  })

  it('gives back the limits it was given, and loses those that are absent', () => {
    const own = { maxAttempts: null, timeLimitMinutes: 20, waitMinutes: 0 }
    const with3 = withLimits(room, own)
    expect(limitsOf(with3)).toEqual(own)
    expect(hasOwn(with3)).toBe(true)
    expect(withLimits(with3, {})).toEqual(room)
    expect(hasOwn(room)).toBe(false)
  })
})

describe('a learner’s own version', () => {
  const ann = ids.user('ann')
  const choice = { kind: 'trail', trailId: asId<TrailId>('more') } as const

  it('makes a row for them where there is none, and changes the one there is', () => {
    const once = withVersion([room], ann, P1, choice)
    expect(once).toHaveLength(2)
    expect(once[1]?.versions).toEqual({ [P1]: choice })
    const twice = withVersion(once, ann, P1, { ...choice, trailId: asId<TrailId>('less') })
    expect(twice).toHaveLength(2)
    expect(twice[1]?.versions?.[P1]).toEqual({ kind: 'trail', trailId: 'less' })
    expect(withVersion(twice, ann, P1, null)[1]).not.toHaveProperty('versions')
  })
})
