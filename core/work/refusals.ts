import type { PieceId, UserId } from '../base'
import type { Draft } from './types'

/** Why an assignment is not changed. */
export type WorkRefusal =
  | { readonly code: 'work/already-begun'; readonly field: 'pieces'; readonly pieceId: PieceId }
  | { readonly code: 'work/no-pieces'; readonly field: 'pieces' }
  | { readonly code: 'work/piece-twice'; readonly field: 'pieces' }
  /** A piece that is for some of those whom the work reaches, and names nobody. */
  | { readonly code: 'work/piece-for-nobody'; readonly field: 'pieces'; readonly pieceId: PieceId }
  /** A person scores the question: that score is changed instead. */
  | { readonly code: 'work/scored-by-hand'; readonly field: 'pieces' }
  /** More than the key of a question would be another. */
  | { readonly code: 'work/not-its-key'; readonly field: 'pieces' }
  | { readonly code: 'work/no-key'; readonly field: 'pieces' }
  /** Somebody was asked nothing but the questions that are left out. */
  | { readonly code: 'work/nothing-left'; readonly field: 'pieces' }
  | { readonly code: 'work/in-two-teams'; readonly field: 'teams'; readonly learnerId: UserId }
  | { readonly code: 'work/too-many-presets'; readonly field: 'name'; readonly most: number }
  /** Moving it by meetings would leave the school year. */
  | { readonly code: 'work/past-the-year'; readonly field: 'window'; readonly title: string }
  /** A meeting link has to be a whole https address. */
  | { readonly code: 'work/bad-link'; readonly field: 'about' }
  /** Taking it back would take what learners have begun. */
  | { readonly code: 'work/has-begun'; readonly field: 'state'; readonly learners: number }
  /** Somebody changed it since the act that is to be taken back. */
  | { readonly code: 'work/changed-since'; readonly field: 'state'; readonly title: string }
  /** Another task that hands in nothing in place of one that does, or the other way about: no row of results. */
  | { readonly code: 'work/other-task-not-alike'; readonly field: 'targets'; readonly title: string }
  | { readonly code: 'work/withdrawn'; readonly field: 'state' }
  /** It goes to classes of others, too: only their own part is theirs to change. */
  | { readonly code: 'work/not-whole'; readonly field: keyof Draft }
