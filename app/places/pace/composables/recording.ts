import type { Ref } from 'vue'
import type { ClassId, Instant, LessonId } from '#core/base'
import type { FixedDate, Happened, Left } from '#core/pacing'
import { isStill, moveBefore, moveBy, moveToGround, recordOn, takeBackOn } from '../desk/moves'
import { useDesk } from '../stores/desk'
import type { DeskColumn } from '../stores/deskColumn'
import { useRipple } from '../stores/ripple'
import { useTell } from '~/shared/frame/tell'
import type { useDeskActs } from './deskActs'

/** Recording what was taught, and moving, fixing and leaving out lessons, on the desk. */
export function useRecording(acts: ReturnType<typeof useDeskActs>, now: Ref<Instant>) {
  const desk = useDesk()
  const ripple = useRipple()
  const tell = useTell()
  const nameOf = ({ column, lessonId }: { readonly column: DeskColumn; readonly lessonId: LessonId }) => {
    const l = column.lessons.get(lessonId)
    return l?.number || l?.title || 'Lesson'
  }

  /** Records what happened to the chosen lesson; what pushes other lessons is looked at first. */
  async function record(happened: Happened): Promise<void> {
    const at = acts.chosen()
    if (!at) return
    const command = recordOn(at.column, at.lessonId, happened, now.value)
    if (!command) return
    if (!command.ok) return tell.refused(command.error)
    const name = nameOf(at)
    const after = desk.after(command.value)
    // what is simply covered needs no second look: nothing is lost by it
    if (happened.as === 'covered' || (after && isStill(desk.columns, desk.columnsOf(after), at.lessonId)))
      await acts.act(command.value, `${at.column.of.shortName}: ${name} recorded`)
    else
      await ripple.open(
        command.value,
        `${name} ${happened.as === 'took' ? 'took another time' : 'carried over'}`,
        after,
      )
  }

  /** Takes the record of the chosen lesson back, and of those recorded behind it. */
  async function takeBack(): Promise<void> {
    const at = acts.chosen()
    const command = at && takeBackOn(at.column, at.lessonId)
    if (!at || !command) return
    if (!command.ok) return tell.refused(command.error)
    await acts.propose(command.value, `Record taken back from ${nameOf(at)} on`, null)
  }

  /** Moves the chosen lesson one place earlier or later in its class. */
  async function shift(step: 1 | -1): Promise<void> {
    const at = acts.chosen()
    const command = at && moveBy(at.column, at.lessonId, step)
    if (at && command) await acts.propose(command, `${nameOf(at)} moved`, at.lessonId)
  }

  /** Puts a lesson before another one of its class, or onto a free meeting. */
  async function drop(
    classId: ClassId,
    lessonId: LessonId,
    onto: { readonly before: LessonId } | { readonly meeting: number },
  ): Promise<void> {
    const column = acts.columnOf(classId)
    if (!column?.of.mayChange) return
    const command =
      'before' in onto
        ? moveBefore(column, lessonId, onto.before)
        : moveToGround(column, lessonId, onto.meeting)
    if (command) await acts.propose(command, `${nameOf({ column, lessonId })} moved`, lessonId)
  }

  /** Fixes the chosen lesson to a date, frees it ('free'), or takes the class's own date off (null). */
  async function fix(to: FixedDate | 'free' | null): Promise<void> {
    const at = acts.chosen()
    if (at)
      await acts.propose(
        {
          kind: 'lesson',
          classId: at.column.of.id,
          lessonId: at.lessonId,
          part: 'fixed',
          from: at.column.of.pacing.fixed[at.lessonId] ?? null,
          to,
        },
        `${nameOf(at)} fixed`,
        at.lessonId,
      )
  }

  /** Leaves the chosen lesson out of its class, or takes it back in (null). */
  async function leave(to: Left | null): Promise<void> {
    const at = acts.chosen()
    if (at)
      await acts.propose(
        {
          kind: 'lesson',
          classId: at.column.of.id,
          lessonId: at.lessonId,
          part: 'left',
          from: at.column.of.pacing.left[at.lessonId] ?? null,
          to,
        },
        to ? `${nameOf(at)} left out` : `${nameOf(at)} taken back in`,
        at.lessonId,
      )
  }

  return { record, takeBack, shift, drop, fix, leave }
}
