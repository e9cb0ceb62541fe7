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

/** Rules as short lines, in the order in which a learner meets them. */
export function rulesInWords(rules: AttemptRules, ready: AttemptRules | null): readonly RuleLine[] {
  const line = (text: string, ...keys: readonly (keyof AttemptRules)[]): RuleLine => ({
    text,
    differs: ready !== null && keys.some((k) => !same(rules[k], ready[k])),
  })
  const { maxAttempts, kept, waitMinutes, timeLimitMinutes, passPercent, late, help } = rules
  const tries = maxAttempts === null ? 'As many tries as they like' : count(maxAttempts, 'try', 'tries')
  return [
    line(maxAttempts === 1 ? tries : `${tries}, the ${KEPT_WORDS[kept]} counts`, 'maxAttempts', 'kept'),
    ...(waitMinutes > 0 ? [line(`${count(waitMinutes, 'minute')} between tries`, 'waitMinutes')] : []),
    line(
      timeLimitMinutes === null ? 'No time limit' : `${count(timeLimitMinutes, 'minute')} for a try`,
      'timeLimitMinutes',
    ),
    line(itemsInWords(rules.items, rules.order), 'items', 'order'),
    line(`Score and feedback ${REVEAL_WORDS[rules.feedback]}`, 'feedback'),
    line(`Right answers ${REVEAL_WORDS[rules.answers]}`, 'answers'),
    line(help.length === 0 ? 'No help' : `Help: ${help.map((h) => HELP_WORDS[h]).join(', ')}`, 'help'),
    ...(passPercent === null ? [] : [line(`Passed from ${passPercent} %`, 'passPercent')]),
    ...(late === null ? [] : [line(`${late.percentPerDay} % off for each day late`)]),
  ]
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

/** What a target has in place of the rules, in few words: '3 tries, 20 min, help: hints'; empty: nothing. */
export function sayLimits(own: OwnLimits): string {
  const { maxAttempts, timeLimitMinutes, waitMinutes, passPercent, help } = own
  const tries =
    maxAttempts === null ? 'any number of tries' : maxAttempts && count(maxAttempts, 'try', 'tries')
  const time = timeLimitMinutes === null ? 'no time limit' : timeLimitMinutes && `${timeLimitMinutes} min`
  const wait = waitMinutes === 0 ? 'no wait' : waitMinutes && `${waitMinutes} min between tries`
  const pass = passPercent === null ? 'no pass mark' : passPercent && `passed from ${passPercent} %`
  const allowed = help && (help.map((h) => HELP_WORDS[h]).join(', ') || 'none')
  return [tries, time, wait, pass, allowed && `help: ${allowed}`].filter(Boolean).join(', ')
}
