import type { Instant } from '../base'

/**
 * Why somebody is not let in, or may not do an act. What one may not see is 'not-found', so that nothing is
 * given away.
 */
export type AccessRefusal =
  | { readonly code: 'access/not-signed-in' }
  | { readonly code: 'access/denied' }
  | { readonly code: 'access/not-found'; readonly what: string }
  | { readonly code: 'access/wrong-sign-in'; readonly field: 'password' }
  | { readonly code: 'access/too-many-tries'; readonly field: 'password'; readonly until: Instant }
  /** Too many passwords wait to be checked. */
  | { readonly code: 'access/busy' }
  | { readonly code: 'access/sign-in-taken'; readonly field: 'signIn' }
  | { readonly code: 'access/unknown-code'; readonly field: 'code' }
  | {
      readonly code: 'access/changed-meanwhile'
      readonly field: 'version'
      readonly seen: number
      readonly now: number
    }
