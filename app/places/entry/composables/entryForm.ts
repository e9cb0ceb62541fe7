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
    send: async () => store.enter(await enter({ ...state })),
    done: () => navigateTo(goOn()),
  })
  return { state, form }
}
