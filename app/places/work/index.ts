/** What other places use of this one. */
export { useRecommending } from './composables/recommending'
