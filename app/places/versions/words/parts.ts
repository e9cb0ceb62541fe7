import type { LayerPart, MarkLook, OrganiserKind, StepReason } from '#core/versions'

/** What a part of a layer is called, and what it is for. */
export const PART_WORDS: Record<LayerPart, { readonly name: string; readonly what: string }> = {
  steps: { name: 'Steps', what: 'The way to go, one step a line.' },
  wordBank: { name: 'Words to use', what: 'One word or phrase a line.' },
  glossary: { name: 'What words mean', what: 'Explained, and translated where that helps.' },
  starters: { name: 'Sentence starters', what: 'One beginning a line.' },
  frames: { name: 'Sentences to complete', what: 'One a line; write ___ where something is missing.' },
  marks: { name: 'Marked passages', what: 'Select words in the text at the left to mark them.' },
  organisers: { name: 'Organisers', what: 'Forms to put thoughts in order before writing.' },
  hints: { name: 'Hints', what: 'Shown at the question when asked for.' },
  items: { name: 'Fewer questions', what: 'The others are left out for these learners.' },
  example: { name: 'Worked example', what: 'One that is done, to look at.' },
  readAloud: { name: 'Read aloud', what: 'The machine reads questions aloud.' },
  largerType: { name: 'Larger type', what: 'Everything is set a quarter larger.' },
  translation: { name: 'Instructions in another language', what: 'Shown above the English ones.' },
}

export const LOOK_WORDS: Record<MarkLook, string> = {
  line: 'a line under it',
  wave: 'a wave under it',
  box: 'a box round it',
  ground: 'a ground behind it',
}
export const ORGANISER_WORDS: Record<OrganiserKind, string> = {
  table: 'Table',
  web: 'Web of thoughts',
  'time-line': 'Time line',
  claim: 'Claim, reasons, evidence',
}

/** Why a step is suggested, or none. */
export const REASON_WORDS: Record<StepReason, string> = {
  'high-in-a-row': 'high in a row',
  'one-very-low': 'very low',
  'low-in-a-row': 'low in a row',
  'least-already': 'high, with the least support already',
  'most-already': 'low, with the most support already',
  steady: 'neither high nor low in a row',
  'no-scores': 'no score on this trail yet',
}
