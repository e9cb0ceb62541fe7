import type { ItemFinding } from '#core/library'

/** What a second look found in a question, in one sentence. */
export function sayFinding(finding: ItemFinding): string {
  switch (finding.code) {
    case 'no-stem':
      return 'The question is empty.'
    case 'no-feedback':
      return 'Without feedback, who was wrong does not learn why.'
    case 'no-standard':
      return 'Without a standard it tells nothing about where learners stand.'
    case 'exact-fraction':
      return `Only ${finding.value} exactly is right: say by how much an answer may differ.`
    case 'right-is-longest':
      return 'The right answer is much longer than the others, which tells it.'
    case 'all-right':
      return 'All answers are right: add one that is not.'
    case 'stem-tells-answer':
      return `The question itself says “${finding.word}”.`
    case 'no-guide':
      return 'Say what earns the points, for who scores it.'
  }
}
