import type { Ref } from 'vue'
import type { PacingCommand } from '#core/pacing'
import type { ClassId, IsoDay, LessonId } from '#core/base'
import DayNoteDialog from '../components/DayNoteDialog.vue'
import LoseMeeting from '../components/LoseMeeting.vue'
import { changeLength, isStill } from '../desk/moves'
import type { Selection } from '../desk/selection'
import { useDesk } from '../stores/desk'
import type { DeskColumn } from '../stores/deskColumn'
import { useRipple } from '../stores/ripple'
import { useDialogs } from '~/shared/frame/dialogs'
import { sayDay } from '~/shared/words/times'
import { useOutcome } from './outcome'

interface MeetingAt {
  readonly on: IsoDay
  readonly startMinute: number
}

/**
 * Planning acts on whatever is chosen on the desk. What moves other lessons is looked at first, with its ways
 * out.
 */
export function useDeskActs(selection: Ref<Selection | null>) {
  const desk = useDesk()
  const ripple = useRipple()
  const tellOutcome = useOutcome()
  const open = useDialogs()

  const columnOf = (id: ClassId) => desk.columns.find((c) => c.of.id === id)
  /** The lesson chosen, in a class the teacher may change. */
  function chosen(): { readonly column: DeskColumn; readonly lessonId: LessonId } | null {
    const at = selection.value
    const column = at && columnOf(at.classId)
    return at?.kind === 'lesson' && column?.of.mayChange && column.lessons.has(at.lessonId)
      ? { column, lessonId: at.lessonId }
      : null
  }

  const act = async (command: PacingCommand, said?: string) => tellOutcome(await desk.act(command), said)

  /** Does a change at once when no other lesson moves by it; otherwise opens its ripple. */
  async function propose(change: PacingCommand, cause: string, about: LessonId | null = null): Promise<void> {
    const after = desk.after(change)
    if (after && !ripple.isOpen && isStill(desk.columns, desk.columnsOf(after), about)) await act(change)
    else await ripple.open(change, cause, after)
  }

  /** Makes the change that is looked at. */
  async function apply(): Promise<void> {
    const reply = await ripple.apply()
    if (reply) tellOutcome(reply, 'Done')
  }

  /**
   * Half meetings (or five minutes) more or less for the chosen lesson; null puts it back to the plan's
   * length.
   */
  async function lengthen(by: number | null): Promise<void> {
    const at = chosen()
    if (!at) return
    const pending =
      ripple.change?.kind === 'length' &&
      ripple.change.lessonId === at.lessonId &&
      ripple.change.classId === at.column.of.id
        ? ripple.change
        : null
    const next = changeLength(at.column, at.lessonId, by, pending)
    if (next === 'same') ripple.close()
    else if (next) await propose(next.command, next.cause, at.lessonId)
  }

  /** Asks why, then shows what losing the meeting would move. */
  async function lose(classId: ClassId, { on, startMinute }: MeetingAt): Promise<void> {
    const column = columnOf(classId)
    if (!column?.of.mayChange) return
    const why = await open<string>(LoseMeeting, { className: column.of.name, on, startMinute })
    if (!why) return
    const from = column.of.pacing.changes.find((c) => c.on === on && c.startMinute === startMinute) ?? null
    await propose(
      {
        kind: 'meeting',
        classId,
        on,
        startMinute,
        from,
        to: { kind: 'cancel', on, startMinute, why },
      },
      `${why}, ${sayDay(on)}`,
    )
  }

  /** The meeting takes place after all. */
  async function giveBack(classId: ClassId, { on, startMinute }: MeetingAt): Promise<void> {
    const from =
      columnOf(classId)?.of.pacing.changes.find((c) => c.on === on && c.startMinute === startMinute) ?? null
    if (from) await act({ kind: 'meeting', classId, on, startMinute, from, to: null })
  }

  /** Asks for a day note, then shows what it would move in every class. */
  async function announce(on: IsoDay): Promise<void> {
    const change = await open<PacingCommand>(DayNoteDialog, { on })
    if (change?.kind === 'note' && change.to)
      await propose(change, `${change.to.name}, ${sayDay(change.to.fromOn)}`)
  }

  return { columnOf, chosen, act, propose, apply, lengthen, lose, giveBack, announce }
}
