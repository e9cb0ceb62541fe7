import type { NamedPiece } from '../attempts'

/** What is said about an assignment besides its title; empty where nothing is. */
export interface About {
  /** What it is for, in a sentence. */
  readonly objective: string
  /** What learners can do afterwards. */
  readonly outcomes: readonly string[]
  /** A page in Markdown that is read before the first try. */
  readonly instructions: string
  /** Where the class meets, an https address. */
  readonly link: string
  /** Under which heading of the class it is filed. */
  readonly heading: string
  /** In which part of the grade it counts; for teachers. */
  readonly category: string
  /** Offered, not asked for: nobody is missing or late, it is in no grade and no load, and nothing waits for it. */
  readonly isRecommended: boolean
  /** What it follows up: the piece of other work whose results it answers; for teachers. */
  readonly followsUp?: NamedPiece | undefined
}

export const NO_ABOUT: About = {
  objective: '',
  outcomes: [],
  instructions: '',
  link: '',
  heading: '',
  category: '',
  isRecommended: false,
}

/** Whether an address may be shown to learners: https only, and nobody's name or password in it. */
export function isMeetingLink(text: string): boolean {
  if (!/^https:\/\/[^\s]+$/i.test(text) || !URL.canParse(text)) return false
  const { protocol, username, password } = new URL(text)
  return protocol === 'https:' && username === '' && password === ''
}

/** What learners may know of it: all but what is for teachers. */
export function aboutForLearners(about: About): Omit<About, 'category' | 'followsUp'> {
  const { category: _, followsUp: _of, ...forAll } = about
  return forAll
}
