import { askedFor } from '#core/attempts'
import type { AttemptRules, ItemChoice } from '#core/attempts'
import { same } from '#core/base'
import { count } from '~/shared/words/numbers'
import { HELP_WORDS, KEPT_WORDS, REVEAL_WORDS } from '~/shared/words/rules'
import type { OwnLimits } from '../draft'

/** One rule in words, and whether it is other than the ready rules have it. */
export interface RuleLine {
  readonly text: string
  readonly differs: boolean
}

/** A rule's own line, null where there is nothing to say; or the rule in whose line it is told. */
type Said = ((rules: AttemptRules) => string | null) | keyof AttemptRules

/** Every rule, in the order in which a learner meets them. */
const SAID: Record<keyof AttemptRules, Said> = {
  maxAttempts: ({ maxAttempts, kept }) => {
    if (maxAttempts === 1) return '1 try'
    const tries = maxAttempts === null ? 'As many tries as they like' : count(maxAttempts, 'try', 'tries')
    return `${tries}, the ${KEPT_WORDS[kept]} counts`
  },
  kept: 'maxAttempts',
  waitMinutes: ({ waitMinutes }) =>
    waitMinutes > 0 ? `${count(waitMinutes, 'minute')} between tries` : null,
  timeLimitMinutes: ({ timeLimitMinutes }) =>
    timeLimitMinutes === null ? 'No time limit' : `${count(timeLimitMinutes, 'minute')} for a try`,
  items: ({ items, order }) => itemsInWords(items, order),
  order: 'items',
  feedback: ({ feedback }) => `Score and feedback ${REVEAL_WORDS[feedback]}`,
  answers: ({ answers }) => `Right answers ${REVEAL_WORDS[answers]}`,
  help: ({ help }) => (help.length === 0 ? 'No help' : `Help: ${help.map((h) => HELP_WORDS[h]).join(', ')}`),
  passPercent: ({ passPercent }) => (passPercent === null ? null : `Passed from ${passPercent} %`),
  late: ({ late }) => (late === null ? null : `${late.percentPerDay} % off for each day late`),
}
const RULES = Object.keys(SAID) as (keyof AttemptRules)[]

/** Rules as short lines, in the order in which a learner meets them. */
export function rulesInWords(rules: AttemptRules, ready: AttemptRules | null): readonly RuleLine[] {
  const isOther = (rule: keyof AttemptRules) => ready !== null && !same(rules[rule], ready[rule])
  return RULES.flatMap((rule): readonly RuleLine[] => {
    const said = SAID[rule]
    const text = typeof said === 'string' ? null : said(rules)
    const told = RULES.filter((other) => other === rule || SAID[other] === rule)
    return text === null ? [] : [{ text, differs: told.some(isOther) }]
  })
}

function itemsInWords(choice: ItemChoice, order: AttemptRules['order']): string {
  switch (choice.kind) {
    case 'all':
      return order === 'shuffled' ? 'All questions, shuffled for each learner' : 'All questions, as written'
    case 'drawn':
      return `${count(askedFor(choice.shares), 'question')} drawn for each learner`
    case 'adaptive':
      return `At most ${count(choice.most, 'question')}, one after another, as hard as suits`
  }
}

/** How each of a target's own limits and rules is said. */
const SAID_OF_OWN: { readonly [Part in keyof Required<OwnLimits>]: (value: Own<Part>) => string } = {
  maxAttempts: (most) => (most === null ? 'any number of tries' : count(most, 'try', 'tries')),
  timeLimitMinutes: (minutes) => (minutes === null ? 'no time limit' : `${minutes} min`),
  waitMinutes: (minutes) => (minutes === 0 ? 'no wait' : `${minutes} min between tries`),
  passPercent: (percent) => (percent === null ? 'no pass mark' : `passed from ${percent} %`),
  help: (help) => `help: ${help.map((h) => HELP_WORDS[h]).join(', ') || 'none'}`,
}
type Own<Part extends keyof OwnLimits> = Exclude<OwnLimits[Part], undefined>

/** What a target has in place of the rules, in few words: '3 tries, 20 min, help: hints'; empty: nothing. */
export function sayLimits(own: OwnLimits): string {
  const say = <Part extends keyof OwnLimits>(part: Part): readonly string[] => {
    const value = own[part]
    return value === undefined ? [] : [SAID_OF_OWN[part](value as Own<Part>)]
  }
  return (Object.keys(SAID_OF_OWN) as (keyof OwnLimits)[]).flatMap(say).join(', ')
}
