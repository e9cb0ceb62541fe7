import type { Clock, Holidays, Ids, Mail, Passwords, Tickets } from '#ports'
import type { Store } from '#db/repositories'
import type { Heavy } from './heavy'

/** Whether new schools may be made here: by anybody, by nobody, or by whoever knows a word. */
export type SignUpRule =
  | { readonly kind: 'open' }
  | { readonly kind: 'closed' }
  | { readonly kind: 'invitation'; readonly code: string }

/** What every act may reach; built once at start. */
export interface Deps {
  readonly store: Store
  readonly clock: Clock
  readonly ids: Ids
  readonly passwords: Passwords
  readonly tickets: Tickets
  readonly holidays: Holidays
  readonly signUp: SignUpRule
  readonly heavy: Heavy
  readonly mail: Mail
}
