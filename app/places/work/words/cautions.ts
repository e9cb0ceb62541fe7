import { assertNever } from '#core/base'
import type { ClassId, LessonId, PieceId } from '#core/base'
import type { Caution } from '#core/lastLook'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'

/** How classes, pieces and lessons are called. */
export interface CautionNames {
  readonly className: (id: ClassId) => string
  readonly piece: (id: PieceId) => string
  readonly lesson: (id: LessonId) => string
}

/** What the last look found, as a sentence. */
export function sayCaution(c: Caution, { className, piece, lesson }: CautionNames): string {
  if (c.code === 'in-several')
    return (
      `${count(c.learnerIds.length, 'learner is', 'learners are')} in several of these classes: ` +
      'they get it once, with the kinder dates.'
    )
  if (c.code === 'drawn-short')
    return (
      `“${piece(c.pieceId)}” has only ${count(c.has, 'question')} of the ${c.asked} that are to be drawn: ` +
      'tries will be that much shorter.'
    )
  if (c.code === 'many-pieces')
    return `Each learner gets ${c.pieces} separate pieces, ${c.minutes} minutes in all.`
  if (c.code === 'never-shown')
    return (
      `“${piece(c.pieceId)}”: ${NEVER_SHOWN[c.what]} would be shown after it has closed, and it never closes: ` +
      'learners would never see them.'
    )
  if (c.code === 'gives-away')
    return (
      `“${piece(c.pieceId)}”: right answers to ${count(c.items, 'question')} are shown ` +
      'before a further try that asks them again.'
    )
  if (c.code === 'short-time')
    return (
      `“${piece(c.pieceId)}” says that it takes ${count(c.minutes, 'minute')}; ` +
      `a try may last ${c.limit === 1 ? 'one' : c.limit}.`
    )
  const of = className(c.classId)
  switch (c.code) {
    case 'due-in-past':
      return c.pieceId === null
        ? `${of}: it is due in the past, so every hand-in there is late.`
        : `${of}: “${piece(c.pieceId)}” is due in the past.`
    case 'opens-at-once':
      return `${of}: it opens as soon as it is published.`
    case 'tight':
      return (
        `${of}: only ${count(c.meetings, 'meeting')} between opening and due. ` +
        'Who is away once may miss it.'
      )
    case 'no-meeting-on-due-day':
      return `${of}: it is due on ${sayDay(c.on)}, when the class does not meet.`
    case 'past-term':
      return `${of}: it is due on ${sayDay(c.on)}, after the term has ended on ${sayDay(c.termEndsOn)}.`
    case 'covered':
      return `${of}: ${lesson(c.lessonId)}, on which it hangs, is already covered.`
    case 'already-given':
      return `${of}: the class has a piece of this already, in “${c.title}”.`
    case 'left-out':
      return (
        `${of}: ${count(c.learnerIds.length, 'learner of the class does', 'learners of the class do')} not have it, ` +
        'and nobody left them out.'
      )
    case 'blocks-test':
      return `${of}: “${c.title}” is open meanwhile, and could not be begun before this is finished.`
    case 'two-tests':
      return `${of}: “${c.title}” is due on ${sayDay(c.on)}, too: two tests on one day.`
    case 'full-day':
      return (
        `${of}: ${c.minutes} minutes of work are due on ${sayDay(c.on)}, with ` +
        `${sayList(c.titles.map((t) => `“${t}”`))}.`
      )
    case 'waits':
      return (
        `${of}: ${count(c.learnerIds.length, 'learner has', 'learners have')} ${c.most} of “${c.category}” open, ` +
        'as many as the class lets them. It waits in a queue, and comes as they hand in.'
      )
    case 'waited-in-vain':
      return `${of}: it has ended while ${count(c.learnerIds.length, 'learner')} waited for it with too much open.`
    case 'heavy-week':
      return (
        `${of}: ${count(c.learnerIds.length, 'learner carries', 'learners carry')} more than the limits in the ` +
        `week of ${sayDay(c.mondayOn)} with this, all classes together` +
        `${c.better ? `; ${sayDay(c.better)} would be lighter` : ''}.`
      )
    default:
      return assertNever(c)
  }
}

const NEVER_SHOWN: Readonly<Record<Extract<Caution, { readonly code: 'never-shown' }>['what'], string>> = {
  scores: 'scores',
  answers: 'right answers',
  both: 'scores and right answers',
}
