import type { ComputedRef, Ref } from 'vue'
import type { IsoDay } from '#core/base'
import { acrossClasses, alongGround, alongLessons, atDay } from '../desk/selection'
import type { Selection } from '../desk/selection'
import { DESK_KEYS, actOf, keyNameOf } from '../keys'
import type { DeskAct } from '../keys'
import type { DeskColumn } from '../stores/deskColumn'
import type { useDeskActs } from './deskActs'
import type { useRecording } from './recording'
import { useRippleKeys } from './rippleKeys'

interface Hands {
  readonly selection: Ref<Selection | null>
  readonly columns: ComputedRef<readonly DeskColumn[]>
  readonly today: ComputedRef<IsoDay | null>
  readonly acts: ReturnType<typeof useDeskActs>
  readonly recording: ReturnType<typeof useRecording>
  readonly choose: (at: Selection | null, focus?: boolean) => Promise<void>
  readonly loseChosen: () => Promise<void>
  readonly assignChosen: () => Promise<void>
  readonly toggleOne: () => void
  readonly openSheet: () => void
  readonly toDetails: () => void
}

/** The keys of the desk; while a ripple is open, its own come first. */
export function useDeskKeys({
  selection,
  columns,
  today,
  acts,
  recording,
  choose,
  loseChosen,
  assignChosen,
  toggleOne,
  openSheet,
  toDetails,
}: Hands): (event: KeyboardEvent) => void {
  const rippleKeys = useRippleKeys(() => void acts.apply())
  const go = (next: (at: Selection) => Selection | null) => {
    if (selection.value) void choose(next(selection.value), true)
  }
  const chosenColumn = () =>
    columns.value.find((c) => c.of.id === selection.value?.classId) ?? columns.value[0]
  const ACTS: Record<DeskAct, () => void> = {
    later: () => go((at) => alongLessons(at, columns.value, 1)),
    earlier: () => go((at) => alongLessons(at, columns.value, -1)),
    'next-ground': () => go((at) => alongGround(at, columns.value, 1)),
    'ground-before': () => go((at) => alongGround(at, columns.value, -1)),
    'next-class': () => go((at) => acrossClasses(at, columns.value, 1)),
    'class-before': () => go((at) => acrossClasses(at, columns.value, -1)),
    'move-later': () => void recording.shift(1),
    'move-earlier': () => void recording.shift(-1),
    today: () => {
      const c = chosenColumn()
      if (c && today.value) void choose(atDay(c, today.value), true)
    },
    longer: () => void acts.lengthen(1),
    shorter: () => void acts.lengthen(-1),
    'as-planned': () => void acts.lengthen(null),
    covered: () => void recording.record({ as: 'covered' }),
    'carried-over': () => void recording.record({ as: 'carried-over', moreHalves: 2 }),
    fix: () => void fixHere(),
    'leave-out': () => void letGo(),
    lose: () => void loseChosen(),
    'give-back': () => {
      const at = selection.value
      if (at?.kind === 'meeting') void acts.giveBack(at.classId, at)
    },
    announce: () => {
      const on = dayOfSelection()
      if (on) void acts.announce(on)
    },
    'one-class': toggleOne,
    assign: () => void assignChosen(),
    details: toDetails,
    sheet: openSheet,
  }

  function dayOfSelection(): IsoDay | null {
    const at = selection.value
    if (at?.kind === 'meeting') return at.on
    const column = chosenColumn()
    const extent = at ? column?.extents.get(at.lessonId) : undefined
    return (extent && column?.calendar.meetings[extent.first]?.on) ?? today.value
  }
  /** Fixes the chosen lesson to the day it lies on, or lifts its fixed date. */
  function fixHere(): Promise<void> | void {
    const at = acts.chosen()
    const on = dayOfSelection()
    const lesson = at?.column.lessons.get(at.lessonId)
    if (!at || !on || !lesson) return
    const own = at.column.of.pacing.fixed[at.lessonId]
    if (own) return recording.fix(null)
    return recording.fix(lesson.fixed ? 'free' : { kind: 'on', on })
  }
  function letGo(): Promise<void> | void {
    const at = acts.chosen()
    if (at) return recording.leave(at.column.of.pacing.left[at.lessonId] ? null : 'let-go')
  }

  return (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || rippleKeys(event)) return
    const act = actOf(DESK_KEYS, keyNameOf(event))
    if (!act) return
    event.preventDefault()
    ACTS[act]()
  }
}
