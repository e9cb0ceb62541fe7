import type { Clock, Holidays, Ids, Passwords, Tickets } from '#ports'
import type { Store } from '#db/repositories'

/** What every act may reach; built once at start. */
export interface Deps {
  readonly store: Store
  readonly clock: Clock
  readonly ids: Ids
  readonly passwords: Passwords
  readonly tickets: Tickets
  readonly holidays: Holidays
}
