import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { Stretch } from '#core/pacing'
import { ids } from '../../../../tests/support/made'
import type { DeskColumn } from '../stores/deskColumn'
import { useStoneDrag } from './stoneDrag'

interface Target {
  readonly canDrop: (of: { readonly source: { readonly data: object } }) => boolean
  readonly onDrop: (of: { readonly source: { readonly data: object } }) => void
}
const armed = vi.hoisted(() => ({ target: null as unknown, draggables: 0 }))
vi.mock('@atlaskit/pragmatic-drag-and-drop/element/adapter', () => ({
  draggable: () => {
    armed.draggables++
    return () => undefined
  },
  dropTargetForElements: (target: unknown) => {
    armed.target = target
    return () => undefined
  },
}))
vi.mock('vue', async (actual) => ({ ...(await actual<object>()), onBeforeUnmount: () => undefined }))

const lessonId = ids.lesson('1')
const classId = ids.class('a')
const column = (mayChange = true) => ({ of: { id: classId, mayChange } }) as unknown as DeskColumn
const stone = { kind: 'stone', lessonId, halves: 4 } as unknown as Stretch
const free = { kind: 'bare', meeting: 7 } as unknown as Stretch

function dragOf(stretch: Stretch, of = column()) {
  const drop = vi.fn()
  const pulledBy = vi.fn()
  const element = { offsetWidth: 80 } as HTMLElement
  const drag = useStoneDrag({
    box: ref(element),
    column: () => of,
    stretch: () => stretch,
    mayMove: () => of.of.mayChange,
    drop,
    pulledBy,
  })
  return { drag, drop, pulledBy, target: () => armed.target as Target }
}
/** A handle at its edge; events go to who listens, as in a browser. */
function aHandle() {
  const handle = Object.assign(new EventTarget(), { setPointerCapture: () => undefined })
  const press = { clientX: 100, pointerId: 1, currentTarget: handle, preventDefault: () => undefined }
  const at = (type: string, clientX = 0) => handle.dispatchEvent(Object.assign(new Event(type), { clientX }))
  return { press: press as unknown as PointerEvent, at }
}

describe('dragging stones', () => {
  beforeEach(() => {
    armed.target = null
    armed.draggables = 0
  })

  it('is made ready once, and not for a meeting that was lost', () => {
    const { drag } = dragOf(stone)
    drag.arm()
    drag.arm()
    expect(armed.draggables).toBe(1)
    dragOf({ kind: 'lost' } as unknown as Stretch).drag.arm()
    expect(armed.draggables).toBe(1)
  })

  it('takes lessons of its own class only, where it may be changed, and pieces on stones only', () => {
    const { drag, target } = dragOf(stone)
    drag.arm()
    const can = (data: object) => target().canDrop({ source: { data } })
    expect(can({ classId, lessonId: ids.lesson('2') })).toBe(true)
    expect(can({ classId: ids.class('b'), lessonId: ids.lesson('2') })).toBe(false)
    expect(can({ pieceId: 'p' })).toBe(true)
    dragOf(free, column(false)).drag.arm()
    expect(can({ classId, lessonId: ids.lesson('2') })).toBe(false)
    expect(can({ pieceId: 'p' })).toBe(false)
  })

  it('says what was dropped, before which lesson or onto which meeting', () => {
    const onStone = dragOf(stone)
    onStone.drag.arm()
    onStone.target().onDrop({ source: { data: { pieceId: 'p' } } })
    expect(onStone.drop).toHaveBeenCalledWith({ pieceId: 'p', classId, onto: { before: lessonId } })
    const onGround = dragOf(free)
    onGround.drag.arm()
    onGround.target().onDrop({ source: { data: { classId, lessonId: ids.lesson('2') } } })
    expect(onGround.drop).toHaveBeenCalledWith({
      lessonId: ids.lesson('2'),
      classId,
      onto: { meeting: 7 },
    })
  })
})

describe('pulling the edge of a stone', () => {
  it('counts halves by their width, keeps one, and says so once when it is let go', () => {
    const { drag, pulledBy } = dragOf(stone)
    const { press, at } = aHandle()
    drag.pull(press)
    // four halves are 80 px wide
    at('pointermove', 141)
    expect(drag.pulled.value).toBe(2)
    at('pointermove', 0)
    expect(drag.pulled.value).toBe(-3)
    at('pointerup')
    at('pointerup')
    expect(pulledBy.mock.calls).toEqual([[lessonId, -3]])
    expect(drag.pulled.value).toBe(0)
  })

  it('changes nothing when it comes back, or when the pointer is taken away', () => {
    const { drag, pulledBy } = dragOf(stone)
    const { press, at } = aHandle()
    drag.pull(press)
    at('pointermove', 105)
    at('pointerup')
    drag.pull(press)
    at('pointermove', 160)
    at('pointercancel')
    expect(pulledBy).not.toHaveBeenCalled()
    expect(drag.pulled.value).toBe(0)
    // what listened to the pull before is gone
    drag.pull(press)
    at('pointermove', 120)
    at('pointerup')
    expect(pulledBy.mock.calls).toEqual([[lessonId, 1]])
  })
})
