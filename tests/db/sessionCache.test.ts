import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import { openStore } from '#db/client'
import { actorOf, signOut } from '#usecases/accounts/session'
import { signIn } from '#usecases/accounts/signIn'
import { MIGRATIONS, aBench, aTeacher } from '../support/world'

/** A request that is sent after an answer arrives in a later turn of the event loop. */
const nextTurn = () => new Promise((resolve) => setImmediate(resolve))
const ORIGIN = { address: '1', browser: null }

describe('sessions that are kept in mind', () => {
  it('are over at once when another process ends them, or changes whose they are', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const asked = { signIn: 'tess', password: 'long enough', origin: ORIGIN }
    const first = mustBeOk(await signIn(bench.deps, asked), 'in').ticket
    const second = mustBeOk(await signIn(bench.deps, asked), 'in').ticket
    expect((await actorOf(bench.deps, first)).ok).toBe(true)
    const other = await openStore({ url: bench.file, migrationsFolder: MIGRATIONS })
    await signOut({ ...bench.deps, store: other }, first)
    await nextTurn()
    expect((await actorOf(bench.deps, first)).ok).toBe(false)
    expect((await actorOf(bench.deps, second)).value?.mustChangePassword).toBe(false)
    await other.write((tx) => tx.run('update users set must_change_password = 1'))
    await nextTurn()
    expect((await actorOf(bench.deps, second)).value?.mustChangePassword).toBe(true)
    other.close()
  })
})
