import type { ComputedRef, Ref } from 'vue'
import type { IsoDay } from '#core/base'
import { acrossClasses, alongLessons, atDay } from '../desk/selection'
import type { Selection } from '../desk/selection'
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
  const STEPS: Record<string, () => void> = {
    ArrowDown: () => go((at) => alongLessons(at, columns.value, 1)),
    ArrowUp: () => go((at) => alongLessons(at, columns.value, -1)),
    ArrowRight: () => go((at) => acrossClasses(at, columns.value, 1)),
    ArrowLeft: () => go((at) => acrossClasses(at, columns.value, -1)),
    'Shift+ArrowDown': () => void recording.shift(1),
    'Shift+ArrowUp': () => void recording.shift(-1),
    Home: () => {
      const c = chosenColumn()
      if (c && today.value) void choose(atDay(c, today.value), true)
    },
    '+': () => void acts.lengthen(1),
    '=': () => void acts.lengthen(1),
    '-': () => void acts.lengthen(-1),
    '0': () => void acts.lengthen(null),
    c: () => void recording.record({ as: 'covered' }),
    v: () => void recording.record({ as: 'carried-over', moreHalves: 2 }),
    f: () => void fixHere(),
    l: () => void letGo(),
    x: () => void loseChosen(),
    b: () =>
      selection.value?.kind === 'meeting' && void acts.giveBack(selection.value.classId, selection.value),
    n: () => {
      const on = dayOfSelection()
      if (on) void acts.announce(on)
    },
    o: toggleOne,
    a: () => void assignChosen(),
    Enter: toDetails,
    '?': openSheet,
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
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (rippleKeys(event)) return
    const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
    const step = STEPS[event.shiftKey && name.startsWith('Arrow') ? `Shift+${name}` : name]
    if (!step) return
    event.preventDefault()
    step()
  }
}
