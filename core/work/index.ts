/** The assignment: what a teacher sets, its states and acts, and what each learner gets of it. */
export { aboutForLearners, NO_ABOUT } from './about'
export type { About } from './about'
export { changed } from './acts'
export { firstInWay, withBlocks } from './blocking'
export { DRAFT_PARTS } from './combining'
export {
  MOST_AT_ONCE,
  MOST_IN_STEP,
  WORK_ACTS,
  asStep,
  commandOf,
  draftOf,
  idsTouched,
  settingOf,
  stepped,
  stepsIn,
  takenBack,
} from './command'
export type { WorkAct, WorkBeforeAndAfter, WorkCommand, WorkSetting, WorkStep, WorksCommand } from './command'
export { mayHandFiles } from './handingFiles'
export type { MyFile } from './handingFiles'
export { checkDraft, faultInTargets } from './checkDraft'
export { faultInCorrection, withCorrection, withCorrectionsOf } from './correcting'
export type { Recipients } from './checkDraft'
export { changesAfter, concerns, notThere, whyOf } from './lens'
export type { Change, LensLearner, NotThere, Why } from './lens'
export { withMore } from './more'
export type { More } from './more'
export { isSameWork, mergeForBegun } from './merge'
export type { WorkToMerge } from './merge'
export { OWN_RULE_FIELDS } from './ownRules'
export { tryTermsOf } from './tryTerms'
export { checkPart, reachOnWork, publishedBy, withdrawnBy } from './part'
export { partSeen, withUnseen } from './partSeen'
export type { WorkReach, WhereTargetsAre } from './part'
export { NEEDS, byNeed, needOf } from './need'
export type { Need } from './need'
export { NOTICE_KINDS, noticesOf } from './notices'
export type { Notice, NoticeKind } from './notices'
export { faultInPieces, MOST_PIECES, momentsOf, plainPiece, rulesOf, rulesSuiting } from './pieces'
export { progressOf } from './progress'
export type { CountedPiece, Progress } from './progress'
export { MOST_PRESETS, presetFor } from './presets'
export type { Preset } from './presets'
export type { WorkRefusal } from './refusals'
export { anchoredLessons, classWindow, namedClasses, windowOfClass, windowsOfClass } from './classWindows'
export { awaitsNewcomers, resolveWork } from './resolve'
export type { Resolution, Resolvable, Surroundings } from './resolve'
export { ruledNow } from './ruled'
export { shifted } from './shift'
export { madeTeams, teamMates } from './teams'
export type { Mixing } from './teams'
export { inOrder, togetherOf } from './together'
export type { LearnerCard, LearnerPiece } from './together'
export type { VersionsAround } from './versionsFor'
export { ASSIGNMENT_STATES, HAND_INS, WHENS } from './types'
export type {
  Assignment,
  AssignmentState,
  AssignmentTarget,
  Begun,
  Draft,
  HandIn,
  LearnerWork,
  OwnRules,
  RuledGroup,
  When,
  WorkBecause,
  WorkPiece,
} from './types'
