import { syllable } from 'syllable'
import { pointsGiven } from '#core/evidence'
import type { AnswerToScore } from '#core/evidence'
import { figuresOf } from '#core/writing'
import type { TextFigures } from '#core/writing'
import { count } from '~/shared/words/numbers'

/** Figures of a text that was handed in; null where the answer is none. */
export function figuresIn({ answer, expected }: AnswerToScore): TextFigures | null {
  return answer.kind === 'extended' ? figuresOf(answer.text, expected, syllable) : null
}

const tenths = (n: number) => String(Math.round(n * 10) / 10)

/** The same in a line. */
export function sayFigures(f: TextFigures): string {
  return [
    count(f.words, 'word'),
    count(f.paragraphs, 'paragraph'),
    `${tenths(f.sentenceLength)} words a sentence`,
    ...(f.used.length + f.missing.length === 0
      ? []
      : [`${f.used.length} of ${f.used.length + f.missing.length} expected words`]),
    ...(f.grade === null ? [] : [`reads like grade ${tenths(Math.max(0, f.grade))} (Flesch–Kincaid)`]),
  ].join(' · ')
}

/** All texts with their figures as rows of a spreadsheet, the first with what stands in them. */
export function figuresAsTable(answers: readonly AnswerToScore[]): readonly (readonly string[])[] {
  const head = [
    'Learner',
    'Try',
    'Words',
    'Sentences',
    'Paragraphs',
    'Words a sentence',
    'Expected words used',
    'Expected words missing',
    'Reading grade (Flesch-Kincaid)',
    'Points',
  ]
  const rows = answers.flatMap((a) => {
    const f = figuresIn(a)
    if (!f) return []
    const grade = f.grade === null ? '' : tenths(f.grade)
    const counts = [f.words, f.sentences, f.paragraphs].map(String)
    const lists = [f.used.join(', '), f.missing.join(', ')]
    return [
      [
        a.name,
        String(a.number),
        ...counts,
        tenths(f.sentenceLength),
        ...lists,
        grade,
        String(pointsGiven(a) ?? ''),
      ],
    ]
  })
  return [head, ...rows]
}
