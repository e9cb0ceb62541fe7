import type { Result } from '#core/base'
import type { Connection, Store } from '#db/repositories'

/** Carries a refusal out of a write transaction, so that everything in it is rolled back. */
class Refused extends Error {
  constructor(readonly result: Result<never, unknown>) {
    super('refused')
  }
}

/** Runs work in one write transaction; a refusal undoes whatever it had written. */
export async function writing<R extends Result<unknown, unknown>>(
  store: Store,
  work: (tx: Connection) => Promise<R>,
): Promise<R> {
  try {
    return await store.write(async (tx) => {
      const result = await work(tx)
      if (!result.ok) throw new Refused(result as Result<never, unknown>)
      return result
    })
  } catch (error) {
    // Drizzle rethrows what the work threw as it is
    if (error instanceof Refused) return error.result as R
    throw error
  }
}
