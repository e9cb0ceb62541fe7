import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { Caution } from '#core/lastLook'
import { NO_WINDOW } from '#core/availability'
import { PLAIN_WORK, ids, piecesOf, rules } from '../../../tests/support/made'
import type { DraftInWork } from './draft'
import { mendOf } from './mends'

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
const mended = (caution: Caution, of = draft) => mendOf(caution, of, () => '8 A')?.apply(of)

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
    expect(mendOf(tight, plain, () => '')).toBeNull()
  })

  it('move to the next meeting of the class, where there is one', () => {
    const caution = { code: 'no-meeting-on-due-day', classId: b, on: isoDay('2026-09-08') } as const
    const next = { on: isoDay('2026-09-09'), minuteOfDay: 590 }
    expect(mended({ ...caution, next })?.targets[1]?.overrides.window?.due).toEqual({ kind: 'time', ...next })
    expect(mended({ ...caution, next: null })).toBeUndefined()
  })
})
