import { navigateTo } from '#imports'
import { reactive } from 'vue'
import type { Result } from '#core/base'
import type { Me } from '#shared/contracts/accounts'
import type { AnyContract } from '#shared/contracts/contract'
import type { Refusal } from '#shared/contracts/refusal'
import { namedFields, useContractForm } from '~/shared/fields/form'
import { useMe } from '~/shared/session/me'

/** A form through which somebody new comes in: sends it, keeps who they are, and goes on. */
export function useEntryForm<F extends Record<string, string>>(
  schema: AnyContract['body'],
  enter: (form: F) => Promise<Result<Me, Refusal>>,
  empty: F,
  names: Readonly<Record<keyof F & string, string>>,
  goOn: () => string,
) {
  const store = useMe()
  const state = reactive({ ...empty }) as F
  const form = useContractForm({
    schema,
    body: () => ({ ...state }),
    say: namedFields(names),
    send: async () => store.enter(await inTurn(() => enter({ ...state }))),
    done: () => navigateTo(goOn()),
  })
  return { state, form }
}

/** Waits so short that they are waited for, and as many of them. */
const SHORT_SECONDS = 5
const MOST_TURNS = 6

/** Behind a school's address tries are taken one after another: who has to wait a moment is sent again by itself. */
async function inTurn<R>(send: () => Promise<Result<R, Refusal>>): Promise<Result<R, Refusal>> {
  let reply = await send()
  for (let turn = 1; turn < MOST_TURNS; turn++) {
    if (reply.ok || reply.error.code !== 'access/too-many-tries') break
    const { waitSeconds } = reply.error
    if (waitSeconds > SHORT_SECONDS) break
    await new Promise((resolve) => setTimeout(resolve, waitSeconds * 1000))
    reply = await send()
  }
  return reply
}
