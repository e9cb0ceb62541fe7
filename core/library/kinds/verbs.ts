import { halfOnes } from './accepted'
import type { Cells, ReadCell } from './cells'
import type { FieldType, Option } from './fields'
import type { ItemFinding } from './findings'
import type { ItemBase, ItemFault } from './kind'
import { kindOf } from './table'
import type { Answer, AnswerType, Item, ItemKind, LearnerItem } from './table'
import type { Typed } from './typed'

/** Why an item cannot be answered or scored; null when it can. */
export function checkItem(item: Item): ItemFault | null {
  return kindOf(item).check(item)
}

/** Whether an answer is of the item's kind and speaks of what the item has. */
export function fitsItem(item: Item, answer: Answer): boolean {
  return answer.kind === item.kind && kindOf(item).fits(item, answer)
}

/** Points for one answer, by the rule of its kind. An omitted answer or one of another kind earns 0. */
export function scoreItem(item: Item, answer: Answer | undefined): number {
  if (answer === undefined || answer.kind !== item.kind) return 0
  return kindOf(item).score(item, answer)
}

/** True when the learner left the item without an answer. */
export function isOmitted(answer: Answer | undefined): boolean {
  return answer === undefined || kindOf(answer).isOmitted(answer)
}

/** Ids of the options an answer chose; none for kinds without options. */
export function chosenIn(answer: Answer | undefined): readonly string[] {
  return answer === undefined ? [] : kindOf(answer).chosen(answer)
}

/** The options of an item; none for kinds without them. Works on what a learner may see, too. */
export function optionsOf(item: Item | LearnerItem): readonly Option[] {
  return 'options' in item ? item.options : []
}

/** Ids of an item's right options; none for kinds without options. */
export function rightOptions(item: Item): readonly string[] {
  return kindOf(item).right(item)
}

/** The right answer as text, for showing after a try. */
export function rightInWords(item: Item): string {
  return kindOf(item).rightInWords(item)
}

/** Whether an answer of a kind holds something of a type, such as one option out of several. */
export function takes(kind: ItemKind, type: FieldType): boolean {
  return Object.values(kindOf({ kind }).answer).includes(type)
}

/** What a learner gave, as text; empty when nothing. */
export function givenInWords(item: Item | LearnerItem, answer: Answer): string {
  return answer.kind === item.kind ? kindOf(item).inWords(item, answer) : ''
}

/** Whether a person has to read what is given to an item of a kind. */
export function isScoredByHand(item: Pick<Item, 'kind'>): boolean {
  return kindOf(item).isByHand === true
}

/** Takes the key, feedback, standard and difficulty off an item, and the hint unless hints are allowed. */
export function forLearner(item: Item, hasHints = false): LearnerItem {
  const { id, kind, stem, points, hint } = item
  const values = item as unknown as Readonly<Record<string, unknown>>
  const shown = Object.fromEntries(kindOf(item).shown.map((name) => [name, values[name]]))
  return { id, kind, stem, points, ...(hasHints && hint !== '' ? { hint } : {}), ...shown } as LearnerItem
}

/** An answer of an item's kind that leaves the item out. */
export function leftOut(item: Pick<Item, 'kind'>): Answer {
  const empty = Object.entries(kindOf(item).answer).map(([name, type]) => [name, emptyOf(type)])
  return { kind: item.kind, ...Object.fromEntries(empty) } as Answer
}

const EMPTY: Partial<Record<FieldType, unknown>> = {
  'option-or-none': null,
  'option-set': [],
  'option-order': [],
  pairs: {},
  'words-in-blanks': {},
}

function emptyOf(type: FieldType): unknown {
  return type in EMPTY ? EMPTY[type] : ''
}

/** What a second look would find in an item because of its kind. */
export function findingsOfKind(item: Item): readonly ItemFinding[] {
  return kindOf(item).findings(item)
}

/** What is read aloud of an item after its question. */
export function saidAfter(item: Item | LearnerItem): readonly string[] {
  return kindOf(item).saidAfter(item)
}

/** Lines to be left on paper for the answer to an item. */
export function linesOnPaper(item: Item): number {
  return kindOf(item).linesOnPaper(item)
}

/** Whether an item's answers choose among its options, so that choices can be counted for each. */
export function isChosenAmong(item: Pick<Item, 'kind'>): boolean {
  return takes(item.kind, 'option-or-none') || takes(item.kind, 'option-set')
}

/** The field of an answer of a kind, and what it holds. */
export function answerFieldOf(kind: ItemKind): { readonly name: string; readonly type: AnswerType } {
  const [[name, type] = []] = Object.entries(kindOf({ kind }).answer)
  if (name === undefined) throw new Error(`answers of ${kind} hold nothing`)
  return { name, type: type as AnswerType }
}

/** What is typed of an item in a form, by field. */
export function toTyped(item: Item): Readonly<Record<string, string>> {
  return kindOf(item).toTyped(item)
}

/** An item of what was typed in a form; `check` refuses what could not be read. */
export function fromTyped(kind: ItemKind, base: ItemBase, typed: Typed): Item {
  return { ...base, kind, ...kindOf({ kind }).fromTyped(typed) } as Item
}

/** The key of an item as cells of a table of questions. */
export function toCells(item: Item): Cells {
  return kindOf(item).toCells(item)
}

/** An item of a row of such a table; `check` refuses what could not be read. */
export function fromCells(kind: ItemKind, base: ItemBase, cell: ReadCell): Item {
  return { ...base, kind, ...kindOf({ kind }).fromCells(cell) } as Item
}

/** The answers of an item that earn half of its points, or of a blank's; none for most kinds. */
export function halfRightInWords(item: Item): string {
  if (item.kind === 'text') return halfOnes(item.accepted).join(' / ')
  return item.kind === 'blanks' ? halfOnes(Object.values(item.accepted).flat()).join(' / ') : ''
}
