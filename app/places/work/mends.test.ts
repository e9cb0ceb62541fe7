import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { zoneOf } from '#core/calendar'
import type { Caution } from '#core/lastLook'
import { NO_WINDOW } from '#core/availability'
import { P1, PLAIN_WORK, at, ids, piecesOf, rules } from '../../../tests/support/made'
import type { DraftInWork } from './draft'
import { mendOf } from './mends'
import type { MendContext } from './mends'

const [a, b] = [ids.class('a'), ids.class('b')]
const due = {
  kind: 'anchor',
  lessonId: ids.lesson('l'),
  edge: 'last',
  offset: 1,
  step: 'meetings',
  at: 'class-end',
} as const
const draft: DraftInWork = {
  pieces: piecesOf('check' as never),
  title: 'Check',
  note: '',
  ...PLAIN_WORK,
  window: { ...NO_WINDOW, due },
  rules: rules(),
  targets: [a, b].map((classId) => ({ target: { kind: 'class' as const, classId }, overrides: {} })),
  exceptIds: [],
}
const zone = zoneOf('UTC')
// open on Mon 7 Sep, due on Wed 9 Sep
const window = { ...NO_WINDOW, opens: at('09-07T09:00'), due: at('09-09T09:50'), closes: at('09-09T09:50') }
const context = { className: () => '8 A', windowOf: () => window, zone }
const mended = (caution: Caution, of = draft, within: Partial<MendContext> = {}) =>
  mendOf(caution, of, { ...context, ...within })?.apply(of)

describe('mends of the last look', () => {
  it('leave a class out, and only that', () => {
    const next = mended({ code: 'due-in-past', classId: a, pieceId: null })
    expect(next?.targets.map((t) => t.target)).toEqual([{ kind: 'class', classId: b }])
  })

  it('put a class’s due date one meeting later, again and again', () => {
    const tight = { code: 'tight', classId: a, meetings: 1 } as const
    const once = mended(tight)!
    expect(once.targets.map((t) => t.overrides)).toEqual([{ window: { due: { ...due, offset: 2 } } }, {}])
    expect(mended(tight, once)?.targets[0]?.overrides.window?.due).toMatchObject({ offset: 3 })
    const plain = {
      ...draft,
      window: { ...NO_WINDOW, due: { kind: 'day', on: isoDay('2026-09-09') } as const },
    }
    expect(mended(tight, plain)).toBeUndefined()
  })

  it('take what closes along, and leave alone what would close before', () => {
    const tight = { code: 'tight', classId: a, meetings: 1 } as const
    const closing = { ...draft, window: { ...draft.window, closes: { ...due, offset: 2 } } }
    expect(mended(tight, closing)?.targets[0]?.overrides.window).toMatchObject({
      due: { offset: 2 },
      closes: { offset: 3 },
    })
    const onADay = {
      ...draft,
      window: { ...draft.window, closes: { kind: 'day', on: isoDay('2026-09-10') } as const },
    }
    expect(mended(tight, onADay)).toBeUndefined()
  })

  it('never put what is due before it opens, or after it closes', () => {
    const heavy = (better: string) =>
      ({
        code: 'heavy-week',
        classId: a,
        mondayOn: isoDay('2026-09-07'),
        learnerIds: [],
        better: isoDay(better),
      }) as const
    expect(mended(heavy('2026-09-11'))?.targets[0]?.overrides.window?.due).toEqual({
      kind: 'day',
      on: '2026-09-11',
    })
    expect(mended(heavy('2026-09-04'))).toBeUndefined()
    const closing = { windowOf: () => ({ ...window, closes: at('09-10T00:00') }) }
    expect(mended(heavy('2026-09-11'), draft, closing)).toBeUndefined()
    expect(mended(heavy('2026-09-09'), draft, closing)).toBeDefined()
    expect(mended(heavy('2026-09-11'), draft, { windowOf: () => null })).toBeUndefined()
  })

  it('leave nobody out who is the only one', () => {
    const one = { ...draft, targets: draft.targets.slice(0, 1) }
    expect(mended({ code: 'due-in-past', classId: a, pieceId: null }, one)).toBeUndefined()
  })

  it('show what would never be shown, and give the time that a piece takes', () => {
    const once = { ...draft, rules: rules({ maxAttempts: 1 }) }
    const never = { code: 'never-shown', pieceId: P1, what: 'both' } as const
    expect(mended(never, once)?.rules).toMatchObject({ feedback: 'submission', answers: 'submission' })
    // a second try asks the same: to show right answers after the first would give them away
    const twice = { ...draft, rules: rules({ maxAttempts: 2 }) }
    expect(mended(never, twice)?.rules).toMatchObject({ feedback: 'submission', answers: 'never' })
    const away = { code: 'gives-away', pieceId: P1, items: 3 } as const
    expect(mended(away, twice)?.rules.answers).toBe('close')
    // where it never closes they would never be shown
    expect(mended(away, twice, { windowOf: () => NO_WINDOW })?.rules.answers).toBe('never')
    const [piece] = draft.pieces
    const own = { ...draft, pieces: [{ ...piece!, rules: { timeLimitMinutes: 40 } }] }
    const longer = mended({ code: 'short-time', pieceId: P1, limit: 40, minutes: 45 }, own)
    expect(longer?.pieces[0]?.rules).toEqual({ timeLimitMinutes: 45 })
    expect(longer?.rules).toEqual(draft.rules)
  })

  it('move to the next meeting of the class, where there is one', () => {
    const caution = { code: 'no-meeting-on-due-day', classId: b, on: isoDay('2026-09-08') } as const
    const next = { on: isoDay('2026-09-09'), minuteOfDay: 590 }
    expect(mended({ ...caution, next })?.targets[1]?.overrides.window?.due).toEqual({ kind: 'time', ...next })
    expect(mended({ ...caution, next: null })).toBeUndefined()
  })
})
