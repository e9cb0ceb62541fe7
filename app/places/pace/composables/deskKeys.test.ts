import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import { isoDay } from '#core/base'
import { AS_PLANNED } from '#core/pacing'
import type { DeskClass } from '#shared/contracts/pacing'
import { aDeskClass, aLesson, aPlan, aYear, ids } from '../../../../tests/support/made'
import type { Selection } from '../desk/selection'
import { columnOf } from '../stores/deskColumn'
import { useDeskKeys } from './deskKeys'

const ripple = vi.hoisted(() => ({ isOpen: false, choose: vi.fn(), close: vi.fn() }))
vi.mock('../stores/ripple', () => ({ useRipple: () => ripple }))
vi.mock('./deskActs', () => ({}))
vi.mock('./recording', () => ({}))

const year = aYear({ lastOn: isoDay('2026-09-25') })
const plan = aPlan([aLesson('1', 1), aLesson('2', 1), aLesson('3', 1)])
const lesson = (id: string, room = 'a'): Selection => ({
  kind: 'lesson',
  classId: ids.class(room),
  lessonId: ids.lesson(id),
})

function desk(at: Selection | null, part: Partial<DeskClass['pacing']> = {}) {
  const columns = [aDeskClass('a', plan, { pacing: { ...AS_PLANNED, ...part } }), aDeskClass('b', plan)].map(
    (room) => columnOf(room, year, plan),
  )
  const selection = ref<Selection | null>(at)
  const acts = { lengthen: vi.fn(), apply: vi.fn(), announce: vi.fn(), giveBack: vi.fn(), chosen: vi.fn() }
  acts.chosen.mockImplementation(() => {
    const of = selection.value
    const column = columns.find((c) => c.of.id === of?.classId)
    return of?.kind === 'lesson' && column ? { column, lessonId: of.lessonId } : null
  })
  const recording = { shift: vi.fn(), record: vi.fn(), fix: vi.fn(), leave: vi.fn() }
  const hands = {
    choose: vi.fn(async (next: Selection | null) => {
      selection.value = next
    }),
    loseChosen: vi.fn(),
    assignChosen: vi.fn(),
    toggleOne: vi.fn(),
    openSheet: vi.fn(),
    toDetails: vi.fn(),
  }
  const obey = useDeskKeys({
    selection,
    columns: computed(() => columns),
    today: computed(() => isoDay('2026-09-04')),
    acts: acts as never,
    recording: recording as never,
    ...hands,
  })
  const press = (key: string, held: { readonly ctrlKey?: boolean; readonly metaKey?: boolean } = {}) => {
    const preventDefault = vi.fn()
    obey({ key, preventDefault, stopPropagation: vi.fn(), ...held } as unknown as KeyboardEvent)
    return preventDefault.mock.calls.length > 0
  }
  return { press, selection, acts, recording, hands }
}

describe('keys on the desk', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    ripple.isOpen = false
    ripple.choose.mockReset()
    ripple.close.mockReset()
  })

  it('walk over lessons and classes, and keep the browser from scrolling', () => {
    const { press, selection } = desk(lesson('1'))
    expect(press('ArrowDown')).toBe(true)
    expect(selection.value).toEqual(lesson('2'))
    press('ArrowRight')
    expect(selection.value).toEqual(lesson('2', 'b'))
    press('ArrowUp')
    expect(selection.value).toEqual(lesson('1', 'b'))
  })

  it('go to today in the class that is chosen, or in the first one', () => {
    const { press, selection } = desk(null)
    press('Home')
    expect(selection.value?.classId).toBe('a')
    selection.value = lesson('1', 'b')
    press('Home')
    expect(selection.value).toEqual(lesson('3', 'b'))
  })

  it('lengthen, record and move what is chosen', () => {
    const { press, acts, recording } = desk(lesson('2'))
    press('+')
    press('-')
    press('0')
    expect(acts.lengthen.mock.calls).toEqual([[1], [-1], [null]])
    press('c')
    press('v')
    expect(recording.record.mock.calls).toEqual([
      [{ as: 'covered' }],
      [{ as: 'carried-over', moreHalves: 2 }],
    ])
  })

  it('fix a lesson to the day it lies on, and lift a date of its own', () => {
    const here = desk(lesson('2'))
    here.press('f')
    expect(here.recording.fix).toHaveBeenCalledWith({ kind: 'on', on: '2026-09-02' })
    const fixed = desk(lesson('2'), {
      fixed: { [ids.lesson('2')]: { kind: 'on', on: isoDay('2026-09-09') } },
    })
    fixed.press('f')
    expect(fixed.recording.fix).toHaveBeenCalledWith(null)
  })

  it('leave a lesson out, and take one back in that is left out', () => {
    const here = desk(lesson('2'))
    here.press('l')
    expect(here.recording.leave).toHaveBeenCalledWith('let-go')
    const left = desk(lesson('2'), { left: { [ids.lesson('2')]: 'let-go' } })
    left.press('l')
    expect(left.recording.leave).toHaveBeenCalledWith(null)
  })

  it('leave alone what the browser or the frame does with them', () => {
    const { press, acts } = desk(lesson('2'))
    expect(press('+', { ctrlKey: true })).toBe(false)
    expect(press('+', { metaKey: true })).toBe(false)
    expect(press('q')).toBe(false)
    expect(acts.lengthen).not.toHaveBeenCalled()
  })

  it('belong to an open ripple first', () => {
    const { press, acts } = desk(lesson('2'))
    ripple.isOpen = true
    press('2')
    expect(ripple.choose).toHaveBeenCalledOnce()
    press('Enter')
    expect(acts.apply).toHaveBeenCalledOnce()
    press('Escape')
    expect(ripple.close).toHaveBeenCalledOnce()
    // what is no key of a ripple goes to the desk
    press('+')
    expect(acts.lengthen).toHaveBeenCalledWith(1)
  })
})
