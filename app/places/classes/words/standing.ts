import type { Moment, WindowSpec } from '#core/availability'
import type { LessonId } from '#core/base'
import type { Offer, StandingField, StandingPiece } from '#core/standing'
import type { StandingOfPlan } from '#shared/contracts/standing'
import type { PartWords } from '~/shared/conflict/words'
import { draftWords } from '~/shared/words/draftParts'
import { count } from '~/shared/words/numbers'

export const AT_WORDS = {
  'class-start': 'start',
  'class-end': 'end',
  'end-of-day': 'end of the day',
} as const

/** 'end of its last meeting + 1', 'start of its first meeting', with the lesson where it is another one. */
export function sayAnchor(moment: Moment | null, home: LessonId, numberOf: (id: LessonId) => string): string {
  if (moment?.kind !== 'anchor') return moment === null ? 'not set' : 'a date'
  const lesson = moment.lessonId === home ? 'its' : `the ${numberOf(moment.lessonId)}`
  const offset =
    moment.offset === 0 ? '' : ` ${moment.offset > 0 ? '+' : '−'}\u00A0${Math.abs(moment.offset)}`
  const step = moment.step === 'days' && moment.offset !== 0 ? ' days' : ''
  const at = typeof moment.at === 'string' ? AT_WORDS[moment.at] : 'a time'
  return `${at} of ${lesson} ${moment.edge} meeting${offset}${step}`
}

/** 'opens at the end of its first meeting − 1, due at the start of its first meeting'. */
export function sayStandingWindow(
  window: WindowSpec,
  home: LessonId,
  numberOf: (id: LessonId) => string,
): string {
  const opens = window.opens ? `opens at the ${sayAnchor(window.opens, home, numberOf)}` : 'open at once'
  const due = window.due ? `due at the ${sayAnchor(window.due, home, numberOf)}` : 'no due date'
  return `${opens}, ${due}`
}

const FIELD_WORDS: Record<StandingField, string> = {
  pieces: 'pieces',
  title: 'title',
  note: 'note',
  about: 'what is said of it',
  isFirst: 'first things first',
  inTurn: 'one after another',
  window: 'dates',
  rules: 'rules',
}

/** What a plan offers a class, in words. */
export function sayOffer(offer: Offer): string {
  switch (offer.kind) {
    case 'settled':
      return 'as in the plan'
    case 'new':
      return 'new in the plan'
    case 'gone':
      return 'taken out of the plan'
    case 'changed': {
      const keeps =
        offer.keeps.length > 0 ? `; your own ${offer.keeps.map((f) => FIELD_WORDS[f]).join(', ')} stay` : ''
      return `other ${offer.fields.map((f) => FIELD_WORDS[f]).join(', ')}${keeps}`
    }
  }
}

/** '3 changes of the plan'. */
export function sayChanges(n: number): string {
  return count(n, 'change')
}

/** Parts of standing work, by the names of its plan. */
export function standingWords(of: StandingOfPlan | null): PartWords<StandingPiece> {
  const lesson = (id: unknown) => of?.plan.lessons.find((l) => l.id === id)?.number ?? 'another lesson'
  const words = draftWords({
    lesson,
    piece: (id) => of?.pieces.find((p) => p.id === id)?.title ?? 'a piece',
    target: () => '',
    learner: () => '',
  })
  return {
    label: ({ part, name }, value) => {
      if (part === 'lessonId') return 'lesson'
      return part === 'versions' ? 'version given' : words.label({ part, name }, value)
    },
    value: ({ part, name }, value) => {
      if (part === 'lessonId') return lesson(value)
      if (part !== 'versions') return words.value({ part, name }, value)
      return value === undefined ? 'as each trail says' : 'one for all'
    },
  }
}
