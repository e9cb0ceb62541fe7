import type { LeftLine, OutlineFault, PlanRowFault, RosterFault } from '#core/formats'

export const ROSTER_FAULT_WORDS: Record<RosterFault, string> = {
  'no-name': 'has no name',
  'name-too-long': 'the name is longer than 80 characters',
  'same-twice': 'this name stands here twice; two people of one name each need a sign-in',
  'bad-sign-in': 'the sign-in name has other signs than letters, digits, dots or dashes',
  'sign-in-twice': 'this sign-in name stands here twice',
  'too-many-groups': 'names more than 20 groups',
  'bad-grade': 'has a grade that we do not know; use a number from 1 to 13',
}
export const OUTLINE_FAULT_WORDS: Record<OutlineFault, string> = {
  'no-lesson': 'has no lesson title',
  'no-unit': 'has no unit, and none stands above it',
  'not-meetings': 'the length is not a whole or half number of meetings from ½ to 40',
  'not-minutes': 'the length is not a number of minutes from 5 to 1,200',
  'bad-weight': 'has a weight we do not know; use core, useful or optional',
  'bad-kind': 'has a kind we do not know; use lesson, check, test, project, review or buffer',
}
export const PLAN_ROW_WORDS: Record<PlanRowFault, string> = {
  'no-number': 'has no number, so we cannot tell which lesson is meant',
  'number-twice': 'has a number that stands further up already',
  'bad-kind': 'has a kind we do not know; use lesson, check, test, project, review or buffer',
  'bad-weight': 'has a weight we do not know; use core, useful or optional',
  'bad-length': 'has lengths we cannot use; give whole or half meetings or “45 min”, least ≤ usual ≤ most',
  'bad-fixed': 'has a date we cannot read; use 2026-10-14, from …, by …, … to … or none',
}

/** What a column of a roster may be. */
export const ROSTER_COLUMN_WORDS = {
  name: 'Name',
  given: 'Given name',
  family: 'Family name',
  signIn: 'Sign-in',
  groups: 'Groups',
  grade: 'Grade',
  className: 'Class',
} as const
/** What a column of an outline may be. */
export const OUTLINE_COLUMN_WORDS = {
  unit: 'Unit',
  lesson: 'Lesson',
  meetings: 'Meetings',
  minutes: 'Minutes',
  weight: 'Weight',
  kind: 'Kind',
} as const
/** What a column of a plan table may be. */
export const PLAN_COLUMN_WORDS = {
  unit: 'Unit',
  number: 'Number',
  title: 'Title',
  kind: 'Kind',
  weight: 'Weight',
  least: 'Least',
  usual: 'Usual',
  most: 'Most',
  fixed: 'Fixed',
  break: 'Not after a break',
} as const

/** Why a line of a table is no row. */
export const LEFT_LINE_WORDS: Record<LeftLine['why'], string> = {
  'above-headings': 'stands above the headings',
  total: 'is a sum',
}
