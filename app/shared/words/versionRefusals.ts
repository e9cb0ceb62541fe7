import { assertNever } from '#core/base'
import { FEWEST_TRAILS, MOST_TRAILS } from '#core/versions'
import type { VersionsRefusal } from '#core/versions'
import { count } from './numbers'

const THRESHOLD_WORDS: Readonly<Record<string, string>> = {
  lessFrom: 'Less support: give a percentage from 0 to 100.',
  moreBelow: 'More support: give a percentage that is not above the one for less support.',
  moreAtOnce: 'More support at once: give a percentage that is not above the other one for more support.',
}

/** Why support, trails or a choice among versions is not accepted, and what to do. */
export function sayVersionsRefusal(r: VersionsRefusal): string {
  switch (r.code) {
    case 'versions/same-word-twice':
      return `Words: “${r.word}” stands there twice.`
    case 'versions/frame-without-blank':
      return `Sentence ${r.number} to complete: write [1], [2] … where something is missing.`
    case 'versions/mark-outside-text':
      return `Marks: “${r.quote}” is not in the text. Mark it again, or take the mark out.`
    case 'versions/marks-overlap':
      return `Marks: “${r.quote}” lies over “${r.over}”. Take one of the two out.`
    case 'versions/mark-without-legend':
      return `Marks: say what the mark on “${r.quote}” stands for.`
    case 'versions/organiser-size':
      return `Organiser: give it 1 to ${r.most} cells; it has ${r.cells}.`
    case 'versions/organiser-full':
      return 'Organiser: leave at least one cell for the learner.'
    case 'versions/nothing-handed-in':
      return (
        'This piece has no question, so nothing is handed in: ' +
        'take the organiser and the sentences to complete out.'
      )
    case 'versions/unknown-item':
      return 'A question that is named here is no longer in the piece. Mend the layer first.'
    case 'versions/bad-share':
      return 'Fewer questions: choose at least one, or a share of 10 to 100 %.'
    case 'versions/trail-count':
      return `Trails: there have to be ${FEWEST_TRAILS} to ${MOST_TRAILS}.`
    case 'versions/trail-twice':
      return r.name.trim() === '' ? 'Trails: each needs a name.' : `Trails: two are called “${r.name}”.`
    case 'versions/trail-in-use':
      return (
        `This trail is in use: ${count(r.learners, 'learner')} or class on it, ` +
        `${count(r.versions, 'version')} made for it. Move them first.`
      )
    case 'versions/bad-thresholds':
      return THRESHOLD_WORDS[r.field] ?? 'How many in a row: give a whole number from 1 to 10.'
    case 'versions/unknown-trail':
      return 'This trail is no longer there. Load the page again.'
    default:
      return assertNever(r)
  }
}
