import type { Upgrade } from '../body'

type Json = Readonly<Record<string, unknown>>

/** What an assignment says besides, before it could. */
const NOTHING_SAID = {
  about: { objective: '', outcomes: [], instructions: '', link: '', heading: '', category: '' },
  isFirst: false,
  inTurn: false,
}

/** Assignments had no classes that wait before version 2. */
export const assignmentWithClasses: Upgrade = (old) => ({ ...old, notFor: [] })

/** Before version 3 tries had all items, nothing helped, and nothing was to be passed. */
export const assignmentWithLaterParts: Upgrade = (old) => ({
  ...NOTHING_SAID,
  ...old,
  rules: { items: { kind: 'all' }, help: [], passPercent: null, ...(old.rules as Json) },
})

/** The same for acts on assignments, on both sides. */
export const workCommandWithLaterParts: Upgrade = (old) => {
  if (old.kind !== 'work') return old
  const side = (value: unknown) => (value === null ? null : assignmentWithLaterParts(value as Json))
  return { ...old, from: side(old.from), to: side(old.to) }
}

/** Before version 4 whoever joined got it, everybody worked alone, and groups went by no rule. */
export const assignmentWithTeams: Upgrade = (old) => ({ newcomers: true, teams: [], ruled: [], ...old })

/** Pieces were handed in by each learner before version 2. */
export const pieceHandedInAlone: Upgrade = (old) => ({ handIn: 'alone', ...old })

/** The same for acts on assignments, on both sides. */
export const workCommandWithTeams: Upgrade = (old) => {
  if (old.kind !== 'work') return old
  const side = (value: unknown) => {
    if (value === null) return null
    const { pieces, ...rest } = value as Json
    return { ...assignmentWithTeams(rest), pieces: (pieces as readonly Json[]).map(pieceHandedInAlone) }
  }
  return { ...old, from: side(old.from), to: side(old.to) }
}

/** Pieces had text and items only in version 2. */
export const resourceWithMaterial: Upgrade = (old) => ({
  ...old,
  material: { link: '', transcript: '', words: [], rubric: [] },
})

/** Items had no hints in version 1. */
export const resourceWithHints: Upgrade = (old) => ({
  ...old,
  items: (old.items as readonly Json[]).map((item) => ({ hint: '', ...item })),
})

/** Nothing but pieces and standards was read in at version 1. */
export const importWithBook: Upgrade = (old) => ({ ...old, bookId: null })

/** Pieces had no files in version 3. */
export const resourceWithFiles: Upgrade = (old) => ({
  ...old,
  material: { ...(old.material as Json), files: [] },
})

/** Textbooks named no benchmark tests in version 1. */
export const bookWithBenchmarks: Upgrade = (old) => ({ ...old, benchmarks: [] })

/** Texts had no most words and no least paragraphs before version 5. */
export const resourceWithRanges: Upgrade = (old) => ({
  ...old,
  items: (old.items as readonly Json[]).map((item) =>
    item.kind === 'extended' ? { mostWords: 0, leastParagraphs: 0, ...item } : item,
  ),
})
