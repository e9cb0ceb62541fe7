import { DOORS, counted, givenBack } from '#core/access'
import type { AccessRefusal, DoorRule } from '#core/access'
import { ok, refuse } from '#core/base'
import type { Instant, Result, UserId } from '#core/base'
import {
  doorCounts,
  forgetDoorCounts,
  isPlaceOf,
  keepPlaces,
  placesKnownTo,
  saveDoorCounts,
} from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'

/** From where somebody asks: the network's address, and a mark that the browser keeps after a sign-in. */
export interface Origin {
  readonly address: string
  readonly browser: string | null
}

/** One count that a try is added to. */
export interface Knock {
  readonly key: string
  readonly rule: DoorRule
}

/**
 * Counts a try under all its keys before it is examined, in one transaction: of many at once no more come through
 * than one after another. Refused, and nowhere counted, while any of them waits.
 */
export async function knock(
  deps: Deps,
  field: 'password' | 'code' | 'signIn' | 'current',
  knocks: readonly Knock[],
): Promise<Result<true, AccessRefusal>> {
  return deps.store.write(async (tx): Promise<Result<true, AccessRefusal>> => {
    const now = deps.clock.now()
    const before = await doorCounts(
      tx,
      knocks.map((k) => k.key),
    )
    const tries = knocks.map(({ key, rule }) => ({ key, tried: counted(before.get(key) ?? null, rule, now) }))
    const waits = tries.flatMap(({ tried }) => (tried.ok ? [] : [tried.error.until]))
    if (waits.length > 0) {
      const until = Math.max(...waits) as Instant
      const waitSeconds = Math.ceil((until - now) / 1000)
      return refuse({ code: 'access/too-many-tries', field, until, waitSeconds })
    }
    const counts = tries.flatMap(({ key, tried }) => (tried.ok ? [[key, tried.value] as const] : []))
    await saveDoorCounts(tx, new Map(counts), now)
    return ok(true)
  })
}

/** Does with the counts of a right try what their doors say. */
export async function letIn(tx: Connection, deps: Deps, knocks: readonly Knock[]): Promise<void> {
  const keysOf = (whenRight: DoorRule['whenRight']) =>
    knocks.filter((k) => k.rule.whenRight === whenRight).map((k) => k.key)
  await forgetDoorCounts(tx, keysOf('forget'))
  await giveBack(tx, deps, keysOf('give-back'))
}

/** Takes back a try that nobody could examine. */
export async function unknock(deps: Deps, knocks: readonly Knock[]): Promise<void> {
  const keys = knocks.map((k) => k.key)
  await deps.store.write((tx) => giveBack(tx, deps, keys))
}

async function giveBack(tx: Connection, deps: Deps, keys: readonly string[]): Promise<void> {
  const now = deps.clock.now()
  const counts = [...(await doorCounts(tx, keys))].map(([key, c]) => [key, givenBack(c, now)] as const)
  await saveDoorCounts(tx, new Map(counts), now)
}

/** What a place is known by: neither address nor browser can be made of it. */
function marksOf(deps: Deps, origin: Origin) {
  const address = deps.tickets.markOf(`address ${origin.address}`)
  const browser = origin.browser === null ? null : deps.tickets.markOf(`browser ${origin.browser}`)
  return { address, browser, all: browser === null ? [address] : [address, browser] }
}

/**
 * The counts a sign-in is added to. Who signed in from this browser before is counted alone; who tries from an address
 * of their school, where anybody of it signed in before, apart from strangers elsewhere. A name that nobody has is
 * counted as if it were of the school whose address it is, so that nothing is told by the wait.
 */
export async function signInKnocks(
  deps: Deps,
  signIn: string,
  user: UserRecord | null,
  origin: Origin,
): Promise<readonly Knock[]> {
  const marks = marksOf(deps, origin)
  const known = user ? await placesKnownTo(deps.store.read, user.id, marks.all) : new Set<string>()
  if (marks.browser !== null && known.has(marks.browser))
    return [{ key: `account ${user?.id} at ${marks.browser}`, rule: DOORS.accountFromKnownPlace }]
  const account = deps.tickets.markOf(`account ${signIn}`)
  if (await isPlaceOf(deps.store.read, marks.address, user?.schoolId ?? null))
    return [
      { key: `address ${marks.address}`, rule: DOORS.addressOfSchool },
      { key: `account ${account} at ${marks.address}`, rule: DOORS.accountFromKnownPlace },
    ]
  const ofAddress = { key: `address ${marks.address}`, rule: DOORS.address }
  return [
    ofAddress,
    { key: `account ${account} at ${marks.address}`, rule: DOORS.accountFromAddress },
    { key: `account ${account}`, rule: DOORS.accountFromAnywhere },
  ]
}

/** Remembers from where somebody signed in. */
export async function rememberPlace(
  tx: Connection,
  deps: Deps,
  userId: UserId,
  origin: Origin,
): Promise<void> {
  await keepPlaces(tx, userId, marksOf(deps, origin).all, deps.clock.now())
}

/** The counts that a joining code is added to: behind an address at which a school signs in, and elsewhere. */
export async function joinKnocks(deps: Deps, origin: Origin): Promise<readonly Knock[]> {
  const { address } = marksOf(deps, origin)
  const isKnown = await isPlaceOf(deps.store.read, address, null)
  return [knockFrom(deps, 'join', origin, isKnown ? DOORS.joiningAtSchool : DOORS.joining)]
}

/** The count of something that an address may do only so often. */
export function knockFrom(deps: Deps, what: string, { address }: Origin, rule: DoorRule): Knock {
  return { key: `${what} ${deps.tickets.markOf(`address ${address}`)}`, rule }
}
