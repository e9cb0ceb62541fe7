/** What learners are given after a check: proposed from what they missed, accepted as one work, looked back on. */
export { asOneWork } from './accepted'
export type { Accepted, AcceptedPiece } from './accepted'
export { becameOf } from './became'
export type { Became, GivenOn, StoodOn } from './became'
export { missedOf, onStandards } from './missed'
export { proposeFollowUp } from './propose'
export { NO_STANDARD } from './types'
export type {
  Because,
  FollowUp,
  FollowUpGround,
  FollowUpLearner,
  FollowUpPiece,
  FollowUpTerms,
  OnStandard,
  Proposal,
  Reach,
  Unanswered,
} from './types'
