import { useOverlay } from '#imports'
import type { Ref } from 'vue'
import { halvesOf } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import type { ClassId, IsoDay } from '#core/base'
import LoseMeeting from '../components/desk/LoseMeeting.vue'
import type { Selection } from '../components/desk/selection'
import { useDesk } from '../stores/desk'
import { count } from '../words/numbers'
import { useTell } from './tell'

interface MeetingAt { readonly on: string, readonly startMinute: number }

/** Planning acts on whatever is chosen on the desk. */
export function useDeskActs(selection: Ref<Selection | null>) {
  const desk = useDesk()
  const tell = useTell()
  const loseDialog = useOverlay().create(LoseMeeting, { destroyOnClose: true })

  const columnOf = (id: ClassId) => desk.columns.find(c => c.of.id === id)

  async function act(command: PacingCommand): Promise<void> {
    const reply = await desk.act(command)
    if (!reply.ok) return tell.refused(reply.error)
    if (reply.value.moved > 0) tell.done(`${count(reply.value.moved, 'piece')} of work moved with the plan`)
    for (const title of reply.value.stuck) tell.refused({ code: 'input/invalid', field: `“${title}”`, problem: 'could not follow: its lesson no longer fits. Its dates stay as they were' })
  }

  /** Half meetings more or less for the chosen lesson; null puts it back to the plan's length. */
  async function lengthen(by: 1 | -1 | null): Promise<void> {
    const at = selection.value
    const column = at && columnOf(at.classId)
    if (at?.kind !== 'lesson' || !column?.of.mayChange) return
    const lesson = column.lessons.get(at.lessonId)
    if (!lesson) return
    const from = column.of.pacing.lengths[at.lessonId] ?? null
    const wanted = by === null ? null : halvesOf(lesson, column.of.pacing.lengths) + by
    const to = wanted === Math.round(lesson.length.typical * 2) ? null : wanted
    if (to === from || (to !== null && (to < 1 || to > 40))) return
    await act({ kind: 'length', classId: at.classId, lessonId: at.lessonId, from, to })
  }

  /** Asks why, then takes the meeting out. */
  async function lose(classId: ClassId, { on, startMinute }: MeetingAt): Promise<void> {
    const column = columnOf(classId)
    if (!column?.of.mayChange) return
    const why = await loseDialog.open({ className: column.of.name, on, startMinute }).result as string | null | undefined
    if (!why) return
    const from = column.of.pacing.changes.find(c => c.on === on && c.startMinute === startMinute) ?? null
    await act({ kind: 'meeting', classId, on: on as IsoDay, startMinute, from, to: { kind: 'cancel', on: on as IsoDay, startMinute, why } })
  }

  /** The meeting takes place after all. */
  async function giveBack(classId: ClassId, { on, startMinute }: MeetingAt): Promise<void> {
    const from = columnOf(classId)?.of.pacing.changes.find(c => c.on === on && c.startMinute === startMinute) ?? null
    if (from) await act({ kind: 'meeting', classId, on: on as IsoDay, startMinute, from, to: null })
  }

  return { lengthen, lose, giveBack, columnOf }
}
