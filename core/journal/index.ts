/** Every act that is written down, whatever topic it belongs to, and how it is said. */
export { sayAct } from './sayAct'
export type { JournalCommand, SaidAct } from './types'
