import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { onBeforeUnmount, ref } from 'vue'
import type { Ref } from 'vue'
import type { LessonId } from '#core/base'
import type { Stretch } from '#core/pacing'
import type { Drop } from '../desk/selection'
import type { DeskColumn } from '../stores/deskColumn'

interface Stone {
  readonly box: Ref<HTMLElement | null>
  readonly column: () => DeskColumn
  readonly stretch: () => Stretch
  readonly mayMove: () => boolean
  readonly drop: (drop: Drop) => void
  /** Pulled by so many halves; the edge was let go. */
  readonly pulledBy: (lessonId: LessonId, halves: number) => void
}

/**
 * Dragging a stone, dropping on it, and pulling its edge. A stone may be dropped on another one of its class or on
 * free ground; a piece on a stone of any class.
 */
export function useStoneDrag({ box, column, stretch, mayMove, drop, pulledBy }: Stone) {
  const over = ref(false)
  const pulled = ref(0)
  const isArmed = ref(false)
  const cleanups: (() => void)[] = []

  /** Made ready when something comes near: hundreds of stones at once would hold up the first paint. */
  function arm(): void {
    const element = box.value
    if (!element || stretch().kind === 'lost' || isArmed.value) return
    isArmed.value = true
    cleanups.push(
      draggable({
        element,
        canDrag: () => mayMove() && pulled.value === 0,
        getInitialData: () => {
          const of = stretch()
          return { classId: column().of.id, lessonId: of.kind === 'stone' ? of.lessonId : '' }
        },
      }),
      dropTargetForElements({
        element,
        canDrop: ({ source: { data } }) =>
          'pieceId' in data
            ? stretch().kind === 'stone'
            : data.classId === column().of.id && column().of.mayChange,
        onDragEnter: () => {
          over.value = true
        },
        onDragLeave: () => {
          over.value = false
        },
        onDrop: ({ source: { data } }) => take(data),
      }),
    )
  }
  function take(data: Record<string | symbol, unknown>): void {
    over.value = false
    const of = stretch()
    if (of.kind === 'lost') return
    const onto = of.kind === 'stone' ? { before: of.lessonId } : { meeting: of.meeting }
    const classId = column().of.id
    if (typeof data.pieceId === 'string') drop({ pieceId: data.pieceId, classId, onto })
    else drop({ lessonId: data.lessonId as LessonId, classId, onto })
  }
  onBeforeUnmount(() => {
    for (const end of cleanups) end()
  })

  /** Pulling the edge of a stone: every half cell is half a meeting. */
  function pull(event: PointerEvent): void {
    const of = stretch()
    const element = box.value
    if (!element || of.kind !== 'stone') return
    event.preventDefault()
    const half = element.offsetWidth / of.halves
    const from = event.clientX
    const handle = event.currentTarget as HTMLElement
    handle.setPointerCapture(event.pointerId)
    const listening = new AbortController()
    const { signal } = listening
    const end = (isMeant: boolean) => {
      listening.abort()
      const halves = pulled.value
      pulled.value = 0
      if (isMeant && halves !== 0) pulledBy(of.lessonId, halves)
    }
    const move = (e: PointerEvent) => {
      pulled.value = Math.max(1 - of.halves, Math.round((e.clientX - from) / half))
    }
    handle.addEventListener('pointermove', move, { signal })
    handle.addEventListener('pointerup', () => end(true), { signal })
    // the system took the pointer away: nobody let go of the edge
    handle.addEventListener('pointercancel', () => end(false), { signal })
  }

  return { over, pulled, isArmed, arm, pull }
}
