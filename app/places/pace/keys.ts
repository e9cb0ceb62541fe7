import { WAYS } from '#core/pacing'

/** Everything a key can do on the desk. */
export type DeskAct =
  | 'later'
  | 'earlier'
  | 'next-ground'
  | 'ground-before'
  | 'next-class'
  | 'class-before'
  | 'move-later'
  | 'move-earlier'
  | 'today'
  | 'longer'
  | 'shorter'
  | 'as-planned'
  | 'covered'
  | 'carried-over'
  | 'fix'
  | 'leave-out'
  | 'lose'
  | 'give-back'
  | 'announce'
  | 'one-class'
  | 'assign'
  | 'details'
  | 'sheet'
/** What the keys of an open ripple do; they come before those of the desk. */
export type RippleAct = 'choose-way' | 'make' | 'drop'
/** Keys that hold everywhere; the frame obeys them. */
export type FrameAct = 'undo' | 'redo' | 'search'

interface Binding<Act extends string> {
  /** As the browser names them, 'Shift+' before where it has to be held. */
  readonly keys: readonly string[]
  readonly does: readonly Act[]
  /** As the sheet of keys shows them. */
  readonly shown: string
  readonly what: string
}

/**
 * The keys of the desk: obeyed by `useDeskKeys`, shown by the sheet of keys. Several keys go with as many
 * acts, in order.
 */
export const DESK_KEYS: readonly Binding<DeskAct>[] = [
  {
    keys: ['ArrowUp', 'ArrowDown'],
    does: ['earlier', 'later'],
    shown: '↑ ↓',
    what: 'Earlier or later lesson of the class',
  },
  {
    keys: ['g', 'Shift+g'],
    does: ['next-ground', 'ground-before'],
    shown: 'G, Shift G',
    what: 'Next free or lost meeting of the class; the one before',
  },
  {
    keys: ['ArrowLeft', 'ArrowRight'],
    does: ['class-before', 'next-class'],
    shown: '← →',
    what: 'Same lesson in the next class',
  },
  { keys: ['Home'], does: ['today'], shown: 'Home', what: 'To today' },
  {
    keys: ['Shift+ArrowUp', 'Shift+ArrowDown'],
    does: ['move-earlier', 'move-later'],
    shown: 'Shift ↑ ↓',
    what: 'Move the lesson earlier or later',
  },
  {
    keys: ['+', '=', '-'],
    does: ['longer', 'longer', 'shorter'],
    shown: '+ −',
    what: 'Half a meeting longer or shorter',
  },
  { keys: ['0'], does: ['as-planned'], shown: '0', what: 'Length as in the plan' },
  { keys: ['c'], does: ['covered'], shown: 'C', what: 'Covered: the lesson, and all before it' },
  { keys: ['v'], does: ['carried-over'], shown: 'V', what: 'Carried over: goes on for another meeting' },
  { keys: ['f'], does: ['fix'], shown: 'F', what: 'Fix to the day it lies on, or free it' },
  { keys: ['l'], does: ['leave-out'], shown: 'L', what: 'Leave it out here, or take it back in' },
  { keys: ['x'], does: ['lose'], shown: 'X', what: 'Lose the first meeting of the lesson' },
  { keys: ['b'], does: ['give-back'], shown: 'B', what: 'Give a lost meeting back' },
  { keys: ['n'], does: ['announce'], shown: 'N', what: 'Announce the day: closed, short, event' },
  { keys: ['Enter'], does: ['details'], shown: 'Enter', what: 'To the details' },
  { keys: ['o'], does: ['one-class'], shown: 'O', what: 'This class alone, or all classes' },
  { keys: ['a'], does: ['assign'], shown: 'A', what: 'Assign the first scored piece of the lesson' },
  { keys: ['?'], does: ['sheet'], shown: '?', what: 'This sheet' },
]

export const RIPPLE_KEYS: readonly Binding<RippleAct>[] = [
  {
    keys: WAYS.map((_, i) => String(i + 1)),
    does: WAYS.map(() => 'choose-way'),
    shown: `1 to ${WAYS.length}`,
    what: 'Choose a way out',
  },
  { keys: ['Enter'], does: ['make'], shown: 'Enter', what: 'Make the change' },
  { keys: ['Escape'], does: ['drop'], shown: 'Esc', what: 'Drop the change' },
]

export const FRAME_KEYS: readonly Binding<FrameAct>[] = [
  { keys: ['Control+z'], does: ['undo'], shown: 'Ctrl Z', what: 'Undo' },
  { keys: ['Control+y', 'Control+Shift+z'], does: ['redo', 'redo'], shown: 'Ctrl Y', what: 'Redo' },
  { keys: ['Control+k'], does: ['search'], shown: 'Ctrl K', what: 'Search and commands' },
]

/**
 * The name of a pressed key as the bindings have it; Cmd counts as Ctrl. Shift counts with arrows, letters
 * and Ctrl.
 */
export function keyNameOf(event: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'ctrlKey' | 'metaKey'>): string {
  const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const held = event.ctrlKey || event.metaKey
  const shift = event.shiftKey && (held || name.startsWith('Arrow') || /^[a-z]$/.test(name))
  return `${held ? 'Control+' : ''}${shift ? 'Shift+' : ''}${name}`
}

/**
 * What a key does by a list of bindings; null when it is none of them. A letter does the same with Shift,
 * where Shift has no meaning of its own.
 */
export function actOf<Act extends string>(bindings: readonly Binding<Act>[], name: string): Act | null {
  for (const { keys, does } of bindings) {
    const at = keys.indexOf(name)
    if (at >= 0) return does[at] ?? null
  }
  return /^Shift\+[a-z]$/.test(name) ? actOf(bindings, name.slice(6)) : null
}
