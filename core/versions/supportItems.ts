import type { ItemId } from '../base'
import { asId, isId } from '../base'
import type { Item } from '../library'
import { cellsOf } from './organiser'
import type { Layer, Organiser } from './types'

/** What a learner fills in of the support is kept like an answer, under a name of its own, and earns nothing. */
const PREFIX = 'support-'
const PLANNER = `${PREFIX}planner`

/** An organiser's name among the questions: the first one's is as it was when there was only one. */
function plannerId(at: number): ItemId {
  return asId<ItemId>(at === 0 ? PLANNER : `${PLANNER}-${at + 1}`)
}

/** The organiser that a question of the support stands for; null: it is a frame. */
export function organiserOf(organisers: readonly Organiser[], id: ItemId): Organiser | null {
  return organisers.find((_, at) => plannerId(at) === id) ?? null
}

/** Whether an answer is to the support of a version, and not to a question of the core. */
export function isSupportItem({ id }: Pick<Item, 'id'>): boolean {
  return id.startsWith(PREFIX)
}

/** What there is to fill in of a layer, as questions with blanks that no key scores: organisers, then frames. */
export function supportItems({ organisers, frames }: Pick<Layer, 'organisers' | 'frames'>): readonly Item[] {
  return [
    ...organisers.map((organiser, at) => fillIn(plannerId(at), passageOf(organiser))),
    ...frames.filter((f) => isId(PREFIX + f.id)).map((f) => fillIn(asId<ItemId>(PREFIX + f.id), f.text)),
  ]
}

/** A blank for each cell that is not given, numbered as the cells are. */
function passageOf(organiser: Organiser): string {
  return cellsOf(organiser)
    .flatMap((cell, i) => (cell.given === null ? [`[${i + 1}]`] : []))
    .join(' ')
}

function fillIn(id: ItemId, passage: string): Item {
  return {
    id,
    kind: 'blanks',
    stem: '',
    points: 0,
    standard: null,
    difficulty: 1,
    feedback: '',
    hint: '',
    passage,
    accepted: {},
  }
}
