/** What other places use of this one. */
export { useFollowingUp } from './composables/followingUp'
export { useRecommending } from './composables/recommending'
export { windowInMeetings } from './followUp'
export type { FollowUpGiven, WindowInMeetings } from './followUp'
export type { StartingCard } from './pieceRules'
