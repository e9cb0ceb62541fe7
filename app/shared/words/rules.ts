import type { WindowField } from '#core/availability'
import { READY_RULES } from '#core/attempts'
import type { AttemptRules, Help, Kept, Passing, ReadyKey, Reveal } from '#core/attempts'
import type { WorkBecause } from '#core/work'

export const KEPT_WORDS: Record<Kept, string> = {
  best: 'best try',
  latest: 'latest try',
  first: 'first try',
  mean: 'mean of all tries',
}
export const REVEAL_WORDS: Record<Reveal, string> = {
  item: 'after each question',
  submission: 'when handed in',
  close: 'after it has closed for everybody',
  'own-close': 'after it has closed for the learner',
  never: 'never',
}

export const HELP_WORDS: Record<Help, string> = {
  hints: 'hints',
  calculator: 'a calculator',
  'read-aloud': 'reading aloud',
  spelling: 'spelling and grammar help',
  'expected-words': 'the expected words',
  'own-check': 'a check of their own text',
  'worked-example': 'the worked example',
}

/** Limits, rules and the version that can be other for a class, a group or a learner, as nouns. */
export const OWN_WORDS: Record<Exclude<WorkBecause['field'], WindowField>, string> = {
  maxAttempts: 'tries',
  timeLimitMinutes: 'time for a try',
  waitMinutes: 'wait between tries',
  passPercent: 'pass mark',
  help: 'help',
  version: 'version',
}

export const PASSING_WORDS: Record<NonNullable<Passing>, string> = {
  passed: 'counts; passed',
  'not-yet': 'counts; not passed yet',
}

export interface Preset {
  readonly key: ReadyKey
  readonly word: string
  readonly about: string
  readonly rules: AttemptRules
}

/** Ready sets of rules; only what differs from the chosen one needs a look. */
export const PRESETS: readonly Preset[] = [
  {
    key: 'two',
    word: 'Check, two tries',
    about: 'The better try counts, feedback at once, answers after it closes.',
    rules: READY_RULES.two,
  },
  {
    key: 'practice',
    word: 'Practice',
    about: 'As often as they like, with feedback after each question and all help.',
    rules: READY_RULES.practice,
  },
  {
    key: 'text',
    word: 'Text',
    about: 'One text that you score, with words, spelling help and a check of their own while they write.',
    rules: READY_RULES.text,
  },
  {
    key: 'test',
    word: 'Test',
    about: 'One try with a time limit, nothing shown before it closes.',
    rules: READY_RULES.test,
  },
]
