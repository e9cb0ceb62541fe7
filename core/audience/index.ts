/** Targets, groups and exceptions; who is reached and which layer's value wins, with reasons. */
export { asRosterStep } from './command'
export type { RosterCommand, RosterStep } from './command'
export { GROUP_PARTS } from './group'
export type { GroupSetting } from './group'
export { faultInGroupRule, GRADES, isGrade, isInGroup } from './groupRule'
export type { GradeRule, GroupRule, StandingRule } from './groupRule'
export { keyOf } from './keyOf'
export { STRONGEST_FIRST, strongest } from './levels'
export type { GivenAtLevel, GivenBy } from './levels'
export { headCounts, reach } from './reach'
export type { AudienceRefusal } from './refusals'
export { asDefaults, resolveFields } from './resolveFields'
export { LEVELS, TARGET_KINDS } from './types'
export type {
  Because,
  Kinder,
  Layer,
  Level,
  Reached,
  ResolvedFields,
  Roster,
  Target,
  TargetLevel,
} from './types'
