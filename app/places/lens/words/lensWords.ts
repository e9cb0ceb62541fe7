import { assertNever } from '#core/base'
import type { Instant } from '#core/base'
import type { WindowField } from '#core/availability'
import type { NotThere, Why } from '#core/work'
import { sayList } from '~/shared/words/lists'
import { OWN_WORDS } from '~/shared/words/rules'
import { sayMoment } from '~/shared/words/times'

const FIELD_WORDS: Record<Why['fields'][number], string> = {
  listed: 'listed',
  opens: 'opens',
  due: 'due',
  closes: 'closes',
  putAway: 'put away',
  ...OWN_WORDS,
}
const CHANGE_WORDS: Record<WindowField, string> = {
  listed: 'appears',
  opens: 'opens',
  due: 'is due',
  closes: 'closes',
  putAway: 'is put away',
}

/** What comes to pass with a moment of a piece. */
export function sayChange(field: WindowField): string {
  return CHANGE_WORDS[field]
}

/** Why a learner does not see a piece, in a sentence. */
export function sayNotThere(why: NotThere, zone: string): string {
  const on = (at: Instant, field: WindowField) => sayMoment(at, zone, field)
  switch (why.code) {
    case 'held':
      return 'It is held: nobody sees it before it is published.'
    case 'withdrawn':
      return 'It was withdrawn.'
    case 'class-waits':
      return 'The teacher of this class has not given it yet, or has taken it back.'
    case 'excepted':
      return 'This learner is left out of it.'
    case 'queued':
      return 'It waits: they have as much of its category open as their class lets them. It comes when they hand in.'
    case 'joined-later':
      return `They joined the class ${sayMoment(why.at, zone)}, when it had gone out; newcomers do not get it.`
    case 'before-start':
      return `It was over before their start line in the class, ${sayMoment(why.at, zone)}.`
    case 'not-chosen':
      return 'It goes to groups or learners that this learner is not among.'
    case 'published-later':
      return `It was only published ${sayMoment(why.at, zone)}.`
    case 'not-listed':
      return `It is listed from ${on(why.at, 'listed')}.`
    case 'put-away':
      return `It was put away ${on(why.at, 'putAway')}.`
    default:
      return assertNever(why)
  }
}

/** What set some of a learner's dates and limits, in a sentence. */
export function sayWhy({ level, sourceId, fields }: Why, nameOf: (id: string) => string): string {
  const what = sayList(fields.map((f) => FIELD_WORDS[f]))
  const name = sourceId === null ? '' : nameOf(sourceId)
  switch (level) {
    case 'assignment':
      return `As for everyone: ${what}.`
    case 'class':
      return `The class ${name}: ${what}.`
    case 'piece':
      return `This piece of the work: ${what}.`
    case 'group':
      return `The group ${name}: ${what}.`
    case 'learner':
      return `Changed for this learner: ${what}.`
    case 'accommodation':
      return `Their accommodation: ${what}.`
    case 'started':
      return `Kept since they had begun: ${what}.`
    default:
      return assertNever(level)
  }
}
