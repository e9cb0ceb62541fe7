import type { AttemptRules } from '#core/attempts'
import type { Moment, WindowField, WindowSpec } from '#core/availability'
import { WINDOW_FIELDS } from '#core/availability'
import type { About, AssignmentTarget, Draft, WorkPiece } from '#core/work'
import { capital, sayPlain } from '../conflict/words'
import type { PartWords, Place } from '../conflict/words'
import { sayList } from './lists'
import { sayMomentSpec } from './moments'
import { count } from './numbers'
import { WHEN_WORDS } from './pieces'
import { FIELD_WORDS } from './refusals'
import { HELP_WORDS, KEPT_WORDS, OWN_WORDS, REVEAL_WORDS } from './rules'

/** Names of what an assignment speaks of by id. */
export interface DraftNames {
  readonly lesson: (id: string) => string
  readonly piece: (id: string) => string
  /** By the key of a target. */
  readonly target: (key: string) => string
  readonly learner: (id: string) => string
}

type Plain = Exclude<
  keyof Draft,
  'pieces' | 'about' | 'window' | 'rules' | 'targets' | 'exceptIds' | 'overCeiling'
>
const PLAIN: Record<Plain, string> = {
  title: 'title',
  note: 'note',
  isFirst: 'first things first',
  inTurn: 'one after another',
  newcomers: 'comes to who joins',
  teams: 'teams',
}
const isPlain = (part: keyof Draft): part is Plain => part in PLAIN
const ABOUT: Record<keyof About, string> = {
  objective: 'objective',
  outcomes: 'outcomes',
  instructions: 'page of instructions',
  link: 'meeting link',
  heading: 'heading',
  category: 'category',
  isRecommended: 'recommended',
  followsUp: 'what it follows up',
}
/** Rules as nouns. */
export const RULE_WORDS: Record<keyof AttemptRules, string> = {
  ...OWN_WORDS,
  kept: 'try that counts',
  order: 'order of questions',
  feedback: 'score and feedback',
  answers: 'right answers',
  late: 'late',
  items: 'questions asked',
}

/** How the parts of an assignment are named and said. */
export function draftWords(names: DraftNames): PartWords<Draft> {
  return {
    label: (place, value) => labelOf(place, value, names),
    value: (place, value) => valueOf(place, value, names),
  }
}

function labelOf({ part, name }: Place<Draft>, value: unknown, names: DraftNames): string {
  if (isPlain(part)) return PLAIN[part]
  switch (part) {
    case 'pieces':
      return `“${names.piece((value as WorkPiece).resourceId)}”`
    case 'about':
      return ABOUT[name as keyof About]
    case 'window':
      return FIELD_WORDS[name as WindowField].toLowerCase()
    case 'rules':
      return RULE_WORDS[name as keyof AttemptRules]
    case 'targets':
      return names.target(name ?? '')
    case 'exceptIds':
      return `${names.learner(name ?? '')} left out`
    case 'overCeiling':
      return `${names.learner(name ?? '')} over the ceiling`
  }
}

function valueOf({ part, name }: Place<Draft>, value: unknown, names: DraftNames): string {
  if (part === 'exceptIds' || part === 'overCeiling') return value === undefined ? 'no' : 'yes'
  if (value === undefined) return 'taken out'
  if (part === 'pieces') return sayPieceOf(value as WorkPiece, names)
  if (part === 'window') return sayMomentSpec(value as Moment | null, name as WindowField, names.lesson)
  if (part === 'rules') return sayRuleOf(name as keyof AttemptRules, value)
  if (part === 'targets') return sayOwn(value as AssignmentTarget, names)
  if (part === 'teams') return sayTeams(value as Draft['teams'], names)
  return sayPlain(value)
}

function sayTeams(teams: Draft['teams'], names: DraftNames): string {
  return teams.map((team) => sayList(team.map(names.learner))).join('\n') || 'nobody together'
}

function sayWindow(window: Partial<WindowSpec>, names: DraftNames): readonly string[] {
  return WINDOW_FIELDS.flatMap((field) => {
    const moment = window[field]
    if (moment === undefined) return []
    return [`${FIELD_WORDS[field].toLowerCase()} ${sayMomentSpec(moment, field, names.lesson)}`]
  })
}

function sayRules(rules: Partial<AttemptRules>): readonly string[] {
  const own = Object.entries(rules) as [keyof AttemptRules, unknown][]
  return own.map(([rule, value]) => `${RULE_WORDS[rule]}: ${sayRuleOf(rule, value)}`)
}

function sayPieceOf(piece: WorkPiece, names: DraftNames): string {
  const { resourceId, when, handIn, leastMinutes, window, rules, onlyIds } = piece
  return [
    names.piece(resourceId),
    WHEN_WORDS[when],
    handIn === 'together' ? 'handed in together' : '',
    onlyIds ? `only for ${sayList(onlyIds.map(names.learner))}` : '',
    leastMinutes > 0 ? `read for ${count(leastMinutes, 'minute')}` : '',
    ...sayWindow(window, names),
    ...sayRules(rules),
  ]
    .filter(Boolean)
    .join(', ')
}

/** What one class, group or learner has of its own. */
function sayOwn({ overrides, rules, versions }: AssignmentTarget, names: DraftNames): string {
  const { window, ...limits } = overrides
  const own = [
    ...sayWindow(window ?? {}, names),
    ...sayRules({ ...limits, ...rules } as Partial<AttemptRules>),
    ...(versions && Object.keys(versions).length > 0 ? ['a version of its own'] : []),
  ]
  return own.join(', ') || 'as for everyone'
}

/** One rule's value: '3', 'best try', 'when handed in'. */
export function sayRuleOf(rule: keyof AttemptRules, value: unknown): string {
  if (rule === 'kept') return KEPT_WORDS[value as AttemptRules['kept']]
  if (rule === 'feedback' || rule === 'answers') return REVEAL_WORDS[value as AttemptRules['feedback']]
  if (rule === 'help') return sayList((value as AttemptRules['help']).map((h) => HELP_WORDS[h])) || 'none'
  if (rule === 'order') return value === 'shuffled' ? 'shuffled' : 'as written'
  if (rule === 'late') return value === null ? 'nothing off' : sayLate(value as AttemptRules['late'])
  if (rule === 'items') return (value as AttemptRules['items']).kind === 'all' ? 'all' : 'a choice of them'
  if (value === null) return rule === 'passPercent' ? 'none' : 'without limit'
  if (rule === 'passPercent') return `${String(value)} %`
  if (rule === 'timeLimitMinutes' || rule === 'waitMinutes') return count(Number(value), 'minute')
  return capital(String(value))
}

function sayLate(late: AttemptRules['late']): string {
  return late ? `${late.percentPerDay} % off for each day` : 'nothing off'
}
