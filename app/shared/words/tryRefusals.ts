import { assertNever } from '#core/base'
import type { AttemptRefusal } from '#core/attempts'
import type { Refusal } from '#shared/contracts/refusal'
import { sayForEveryone } from './everyonesRefusals'
import type { Naming } from './everyonesRefusals'
import { count } from './numbers'
import { sayMoment } from './times'

/** What a learner may meet at a piece, in one plain sentence. */
export function sayForLearner(refusal: Refusal, naming: Naming = {}): string {
  return refusal.code.startsWith('attempts/')
    ? ofAttempts(refusal as AttemptRefusal, naming)
    : sayForEveryone(refusal, naming)
}

function ofAttempts(r: AttemptRefusal, { zone = 'UTC' }: Naming): string {
  switch (r.code) {
    case 'attempts/not-open-yet':
      return `This opens ${sayMoment(r.opensAt, zone)}.`
    case 'attempts/closed':
      return `This closed ${sayMoment(r.closedAt, zone, 'closes')}. What you had saved was handed in.`
    case 'attempts/none-left':
      return `You have used ${count(r.used, 'try', 'tries')} of ${r.most}.`
    case 'attempts/one-in-progress':
      return 'You have begun a try: go on with it, or hand it in.'
    case 'attempts/wait':
      return `You can try again from ${sayMoment(r.until, zone)}.`
    case 'attempts/already-handed-in':
      return 'This try is handed in already.'
    case 'attempts/time-is-up':
      return 'The time for this try is up. What you had saved was handed in.'
    case 'attempts/too-soon':
      return `Take your time: you can mark this as done from ${sayMoment(r.from, zone)}.`
    case 'attempts/answered-elsewhere':
      return 'You answered on another page, too. Choose at each marked question which answer counts, then hand in.'
    case 'attempts/unknown-item':
      return 'This question is not part of the piece. Reload the page.'
    case 'attempts/wrong-kind-of-answer':
      return 'This answer does not fit the question. Reload the page.'
    case 'attempts/unknown-option':
      return 'This choice is not among the answers. Reload the page.'
    case 'attempts/bad-rules':
      return {
        maxAttempts: 'Tries: give a whole number of at least 1, or no limit.',
        waitMinutes: 'Wait between tries: give minutes, 0 or more.',
        timeLimitMinutes: 'Time limit: give at least 1 minute, or no limit.',
        late: 'Late deduction: give percentages from 0 to 100.',
        items: 'Items: give whole numbers from 1 to 100, and at least one item in all.',
        passPercent: 'Pass mark: give a percentage from 1 to 100, or none.',
      }[r.field]
    case 'attempts/not-item-by-item':
      return 'Nothing is shown here before you hand in. Go on with the other questions.'
    case 'attempts/answer-first':
      return 'Answer this question first, then look.'
    case 'attempts/bad-points':
      return `Points: give 0 to ${r.most}, in halves.`
    case 'attempts/has-a-text':
      return 'One of these learners has a text there already, or is writing it. Take it out of the list.'
    case 'attempts/no-text-asked':
      return 'This piece asks for no text.'
    case 'attempts/bad-levels':
      return 'The criteria are others than those shown here. Reload this page and score the text again.'
    case 'attempts/first-things-first':
      return `Finish “${r.title}” first; then you can begin this.`
    default:
      return assertNever(r)
  }
}
