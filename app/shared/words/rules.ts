import type { AttemptRules, Kept, Reveal } from '#core/attempts'

export const KEPT_WORDS: Record<Kept, string> = {
  best: 'best try',
  latest: 'latest try',
  first: 'first try',
  mean: 'mean of all tries',
}
export const REVEAL_WORDS: Record<Reveal, string> = {
  submission: 'when handed in',
  close: 'after it has closed for everybody',
  'own-close': 'after it has closed for the learner',
  never: 'never',
}

export interface Preset {
  readonly key: string
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
    rules: {
      maxAttempts: 2,
      kept: 'best',
      waitMinutes: 0,
      timeLimitMinutes: null,
      order: 'shuffled',
      feedback: 'submission',
      answers: 'close',
      late: null,
    },
  },
  {
    key: 'practice',
    word: 'Practice',
    about: 'As often as they like, everything shown at once.',
    rules: {
      maxAttempts: null,
      kept: 'latest',
      waitMinutes: 0,
      timeLimitMinutes: null,
      order: 'as-written',
      feedback: 'submission',
      answers: 'submission',
      late: null,
    },
  },
  {
    key: 'test',
    word: 'Test',
    about: 'One try with a time limit, nothing shown before it closes.',
    rules: {
      maxAttempts: 1,
      kept: 'first',
      waitMinutes: 0,
      timeLimitMinutes: 40,
      order: 'shuffled',
      feedback: 'close',
      answers: 'close',
      late: null,
    },
  },
]
