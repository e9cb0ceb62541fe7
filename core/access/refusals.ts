import type { Instant } from '../base'

/** Who changed something last: the asker, in another window, or somebody else. */
export type ChangedBy = { readonly isSelf: true } | { readonly isSelf: false; readonly name: string }

/**
 * Why somebody is not let in, or may not do an act. What one may not see is 'not-found', so that nothing is
 * given away.
 */
export type AccessRefusal =
  | { readonly code: 'access/not-signed-in' }
  | { readonly code: 'access/denied' }
  | { readonly code: 'access/not-found'; readonly what: string }
  | { readonly code: 'access/wrong-sign-in'; readonly field: 'password' }
  | {
      readonly code: 'access/too-many-tries'
      readonly field: 'password' | 'code' | 'signIn' | 'current'
      readonly until: Instant
      /** The same as a span, for who has another clock. */
      readonly waitSeconds: number
    }
  /** Too many passwords wait to be checked. */
  | { readonly code: 'access/busy' }
  | { readonly code: 'access/sign-in-taken'; readonly field: 'signIn' }
  | { readonly code: 'access/unknown-code'; readonly field: 'code' }
  /** The class takes nobody in for now. */
  | { readonly code: 'access/joining-closed'; readonly field: 'code' }
  /** New schools are not made here, or only with an invitation. */
  | { readonly code: 'access/sign-up-closed' }
  | { readonly code: 'access/wrong-invitation'; readonly field: 'invitation' }
  | { readonly code: 'access/wrong-password'; readonly field: 'current' }
  | { readonly code: 'access/same-password'; readonly field: 'next' }
  /** A teacher gave this password out: the owner chooses another before anything else. */
  | { readonly code: 'access/must-change-password' }
  /** Another version, or another value, stands than the one that was seen; what stands is told where it is shown. */
  | {
      readonly code: 'access/changed-meanwhile'
      readonly field: 'version' | 'seen'
      readonly seen?: number
      readonly now?: number
      readonly by: ChangedBy | null
    }
