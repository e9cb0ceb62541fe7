import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { ResourceId } from '#core/base'
import type { Caution } from '#core/lastLook'
import { P1, ids } from '../../../../tests/support/made'
import { sayCaution } from './cautions'

const classId = ids.class('a')
const [ann, bo] = [ids.user('ann'), ids.user('bo')]
const on = isoDay('2026-09-15')
const say = (caution: Caution) =>
  sayCaution(caution, { className: () => '8 A', piece: () => 'Check', lesson: () => '2.1' })

/** One of each kind, with what it says: a kind without a sentence does not compile. */
const SAID: { readonly [Code in Caution['code']]: readonly [Extract<Caution, { code: Code }>, RegExp] } = {
  'due-in-past': [{ code: 'due-in-past', classId, pieceId: null }, /^8 A: it is due in the past/],
  'opens-at-once': [{ code: 'opens-at-once', classId }, /opens as soon as it is published/],
  tight: [{ code: 'tight', classId, meetings: 1 }, /only 1 meeting between/],
  'no-meeting-on-due-day': [
    { code: 'no-meeting-on-due-day', classId, on, next: null },
    /due on Tue 15 Sep, when the class does not meet/,
  ],
  'past-term': [
    { code: 'past-term', classId, on, termEndsOn: isoDay('2026-09-11') },
    /after the term has ended on Fri 11 Sep/,
  ],
  covered: [{ code: 'covered', classId, lessonId: ids.lesson('l') }, /2\.1, on which it hangs, is already/],
  'already-given': [
    { code: 'already-given', classId, resourceId: 'r' as ResourceId, title: 'Warm-up' },
    /has a piece of this already, in “Warm-up”/,
  ],
  'in-several': [{ code: 'in-several', learnerIds: [ann, bo] }, /^2 learners are in several/],
  'drawn-short': [
    { code: 'drawn-short', pieceId: P1, asked: 5, has: 3 },
    /“Check” has only 3 questions of the 5/,
  ],
  'never-shown': [
    { code: 'never-shown', pieceId: P1, what: 'both' },
    /“Check”: scores and right answers would be shown after it has closed, and it never closes/,
  ],
  'gives-away': [
    { code: 'gives-away', pieceId: P1, items: 8 },
    /“Check”: right answers to 8 questions are shown before a further try/,
  ],
  'short-time': [
    { code: 'short-time', pieceId: P1, limit: 40, minutes: 45 },
    /“Check” says that it takes 45 minutes; a try may last 40\./,
  ],
  'left-out': [
    { code: 'left-out', classId, learnerIds: [ann, bo] },
    /2 learners of the class do not have it/,
  ],
  'blocks-test': [{ code: 'blocks-test', classId, title: 'Test' }, /“Test” is open meanwhile/],
  'two-tests': [{ code: 'two-tests', classId, on, title: 'Test' }, /two tests on one day/],
  'full-day': [
    { code: 'full-day', classId, on, minutes: 95, titles: ['Test', 'Essay'] },
    /95 minutes of work are due on Tue 15 Sep, with “Test” and “Essay”/,
  ],
  'heavy-week': [
    { code: 'heavy-week', classId, mondayOn: isoDay('2026-09-14'), learnerIds: [ann], better: on },
    /1 learner carries more .* Tue 15 Sep would be lighter/,
  ],
  waits: [
    { code: 'waits', classId, category: 'Homework', most: 2, learnerIds: [ann] },
    /1 learner has 2 of “Homework” open/,
  ],
  'waited-in-vain': [
    { code: 'waited-in-vain', classId, learnerIds: [ann] },
    /has ended while 1 learner waited/,
  ],
  'many-pieces': [
    { code: 'many-pieces', pieces: 9, minutes: 70 },
    /gets 9 separate pieces, 70 minutes in all/,
  ],
}

describe('cautions in words', () => {
  it.each(Object.values(SAID))('says %j', (caution, words) => {
    expect(say(caution)).toMatch(words)
    expect(say(caution)).toMatch(/\.$/)
  })

  it('names the piece where it is one of several that is late', () => {
    expect(say({ code: 'due-in-past', classId, pieceId: P1 })).toBe('8 A: “Check” is due in the past.')
  })
})
