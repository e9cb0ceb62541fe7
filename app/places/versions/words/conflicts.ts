import type { GlossaryEntry, Layer, Organiser, TrailSetting } from '#core/versions'
import type { TrailSheet } from '#shared/contracts/versions'
import { sayPlain } from '~/shared/conflict/words'
import type { PartWords } from '~/shared/conflict/words'
import { count, percent } from '~/shared/words/numbers'
import type { ClassTrails } from '../classTrails'
import { ORGANISER_WORDS, PART_WORDS } from './parts'

/** Trails of a class by their names and those of its learners. */
export function trailsWords(sheet: TrailSheet | null): PartWords<ClassTrails> {
  const nameOf = (id: unknown) => sheet?.trails.find((t) => t.id === id)?.name ?? 'none'
  return {
    label: ({ part, name }) => {
      if (part === 'usual') return 'usual trail'
      return `trail of ${sheet?.rows.find((r) => r.learnerId === name)?.name ?? 'a learner'}`
    },
    value: ({ part }, value) => {
      if (part === 'usual') return nameOf(value)
      const learner = value as ClassTrails['learners'][number] | undefined
      return learner ? nameOf(learner.trailId) : 'no longer in the class'
    },
  }
}

/** What is changed beside a trail's name, as the form says it. */
export function settingWords(
  numbers: readonly { readonly field: string; readonly label: string }[],
): PartWords<TrailSetting> {
  return {
    label: ({ part, name }) => {
      if (part === 'trails') return `trail ${name ?? ''}`
      return (numbers.find((n) => n.field === name)?.label ?? 'score').toLowerCase()
    },
    value: ({ part }, value) => {
      if (part === 'thresholds') return String(value)
      return value === undefined ? 'taken out' : (value as TrailSetting['trails'][number]).name
    },
  }
}

/** Parts of a layer, entry by entry where entries have a name. */
export const LAYER_CONFLICT: PartWords<Layer> = {
  label: ({ part }) => (part === 'legend' ? 'sort of mark' : PART_WORDS[part].name.toLowerCase()),
  value: ({ part }, value) => (value === undefined ? 'taken out' : SAID[part](value)),
}
/** Says a value that is known to be of a part. */
const of =
  <Entry>(say: (entry: Entry) => string) =>
  (value: unknown) =>
    say(value as Entry)
const SAID: Record<keyof Layer, (value: unknown) => string> = {
  wordBank: sayPlain,
  glossary: of<GlossaryEntry>(
    ({ word, meaning, translation }) => `${word}: ${meaning}${translation ? ` (${translation})` : ''}`,
  ),
  starters: sayPlain,
  frames: of<Layer['frames'][number]>(({ text }) => text),
  legend: of<Layer['legend'][number]>(({ name }) => name),
  marks: of<Layer['marks'][number]>(({ quote }) => `“${quote}”`),
  organisers: of<readonly Organiser[]>((list) =>
    sayPlain(list.map((o) => ORGANISER_WORDS[o.kind].toLowerCase())),
  ),
  hints: of<Layer['hints'][number]>(({ hint }) => hint),
  steps: of<Layer['steps']>((steps) => steps.join('\n') || 'none'),
  items: of(sayItems),
  example: sayPlain,
  readAloud: sayPlain,
  largerType: sayPlain,
  translation: of<Layer['translation']>((value) => value?.instructions ?? 'none'),
}

function sayItems(items: Layer['items']): string {
  if (items.kind === 'all') return 'all questions'
  if (items.kind === 'share') return `${percent(items.percent / 100)} of the questions`
  return count(items.itemIds.length, 'question')
}
