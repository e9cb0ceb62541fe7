/** What a change of plan or year would move: the ways out of it, with the work of each class. */
export { ripplesOf } from './ripplesOf'
export type { ClassRipple, RippleQuestion } from './ripplesOf'
