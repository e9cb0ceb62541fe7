import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { isoDay } from '#core/base'
import type { Instant } from '#core/base'
import { act } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import { aDeskClass, aLesson, aPlan, aYear, at, ids } from '../../../../tests/support/made'
import { columnOf } from '../stores/deskColumn'
import type { DeskColumn } from '../stores/deskColumn'
import { useRecording } from './recording'

const year = aYear({ lastOn: isoDay('2026-09-25') })
const plan = aPlan([aLesson('1', 1), aLesson('2', 1), aLesson('3', 1)])
const roomId = ids.class('a')
const room = aDeskClass('a', plan, { shortName: '8 A' })
const before = columnOf(room, year, plan)
/** The class as it would be after an act. */
function after(command: PacingCommand): DeskColumn {
  const state = { year, plans: new Map([[plan.id, plan]]), classes: new Map([[roomId, room]]) }
  const next = act(state, command)
  if (!next.ok) throw new Error(next.error.code)
  return columnOf({ ...room, pacing: next.value.classes.get(roomId)!.pacing }, year, plan)
}

const desk = { columns: [before], after, columnsOf: (column: DeskColumn) => [column] }
const ripple = { open: vi.fn() }
const refused = vi.fn()
vi.mock('../stores/desk', () => ({ useDesk: () => desk }))
vi.mock('../stores/ripple', () => ({ useRipple: () => ripple }))
vi.mock('~/shared/frame/tell', () => ({ useTell: () => ({ refused }) }))

function recordingOn(id: string | null, column = before) {
  const acts = {
    chosen: () => (id === null ? null : { column, lessonId: ids.lesson(id) }),
    columnOf: () => column,
    act: vi.fn(),
    propose: vi.fn(),
  }
  const now = ref<Instant>(at('09-09T12:00'))
  return { ...useRecording(acts as never, now), acts }
}

describe('recording on the desk', () => {
  beforeEach(() => {
    ripple.open.mockReset()
    refused.mockReset()
  })

  it('records at once what is covered, and says so', async () => {
    const { record, acts } = recordingOn('1')
    await record({ as: 'covered' })
    expect(acts.act).toHaveBeenCalledOnce()
    expect(acts.act.mock.calls[0]?.[1]).toBe('8 A: 1 recorded')
    expect(ripple.open).not.toHaveBeenCalled()
  })

  it('looks first at what pushes other lessons', async () => {
    const { record, acts } = recordingOn('1')
    await record({ as: 'carried-over', moreHalves: 2 })
    expect(acts.act).not.toHaveBeenCalled()
    expect(ripple.open.mock.calls[0]?.[1]).toBe('1 carried over')
  })

  it('says why a lesson that was not held cannot be recorded', async () => {
    const { record, acts } = recordingOn('3')
    const early = useRecording(acts as never, ref(at('08-31T00:00')))
    await early.record({ as: 'covered' })
    expect(refused).toHaveBeenCalledOnce()
    expect(acts.act).not.toHaveBeenCalled()
    await record({ as: 'covered' })
    expect(acts.act).toHaveBeenCalledOnce()
  })

  it('does nothing where nothing is chosen', async () => {
    const { record, shift, fix, leave, takeBack, acts } = recordingOn(null)
    await record({ as: 'covered' })
    await shift(1)
    await fix(null)
    await leave('let-go')
    await takeBack()
    expect(acts.act).not.toHaveBeenCalled()
    expect(acts.propose).not.toHaveBeenCalled()
  })

  it('moves, fixes and leaves out what is chosen, from what it was', async () => {
    const { shift, fix, leave, acts } = recordingOn('2')
    await shift(-1)
    await fix({ kind: 'on', on: isoDay('2026-09-07') })
    await leave('let-go')
    const lessonId = ids.lesson('2')
    expect(acts.propose.mock.calls.map(([command, cause, about]) => [command, cause, about])).toEqual([
      [expect.objectContaining({ part: 'order', from: null }), '2 moved', lessonId],
      [expect.objectContaining({ part: 'fixed', from: null }), '2 fixed', lessonId],
      [expect.objectContaining({ part: 'left', from: null, to: 'let-go' }), '2 left out', lessonId],
    ])
  })

  it('drops a lesson before another, and never in a class that may not be changed', async () => {
    const { drop, acts } = recordingOn(null)
    await drop(roomId, ids.lesson('3'), { before: ids.lesson('1') })
    expect(acts.propose).toHaveBeenCalledOnce()
    await drop(roomId, ids.lesson('1'), { before: ids.lesson('2') })
    expect(acts.propose).toHaveBeenCalledOnce()
    const closed = recordingOn(null, { ...before, of: { ...room, mayChange: false } })
    await closed.drop(roomId, ids.lesson('3'), { before: ids.lesson('1') })
    expect(closed.acts.propose).not.toHaveBeenCalled()
  })
})
