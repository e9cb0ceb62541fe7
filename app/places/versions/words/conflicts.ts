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
  value: ({ part, name }, value) => {
    if (value === undefined) return 'taken out'
    return SAID[part](value as never, name)
  },
}
type Said = { readonly [Part in keyof Layer]: (value: never, name: string | null) => string }
const SAID: Said = {
  wordBank: sayPlain,
  glossary: ({ word, meaning, translation }: GlossaryEntry) =>
    `${word}: ${meaning}${translation ? ` (${translation})` : ''}`,
  starters: sayPlain,
  frames: ({ text }: Layer['frames'][number]) => text,
  legend: ({ name }: Layer['legend'][number]) => name,
  marks: ({ quote }: Layer['marks'][number]) => `“${quote}”`,
  organisers: (list: readonly Organiser[]) =>
    sayPlain(list.map((o) => ORGANISER_WORDS[o.kind].toLowerCase())),
  hints: ({ hint }: Layer['hints'][number]) => hint,
  steps: (steps: Layer['steps']) => steps.join('\n') || 'none',
  items: sayItems,
  example: sayPlain,
  readAloud: sayPlain,
  largerType: sayPlain,
  translation: (value: Layer['translation']) => value?.instructions ?? 'none',
}

function sayItems(items: Layer['items']): string {
  if (items.kind === 'all') return 'all questions'
  if (items.kind === 'share') return `${percent(items.percent / 100)} of the questions`
  return count(items.itemIds.length, 'question')
}
