import { navigateTo } from '#imports'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { Result } from '#core/base'
import type { Me } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { useMe } from '~/shared/session/me'
import { fieldOf, sayRefusal } from '~/shared/words/refusals'

/**
 * A form through which somebody new comes in: sends it, keeps who they are, goes on, or names the field to
 * correct.
 */
export function useEntryForm<F extends Record<string, string>>(
  enter: (form: F) => Promise<Result<Me, Refusal>>,
  empty: F,
  words: Readonly<Record<keyof F, string>>,
  home: string,
) {
  const store = useMe()
  const form = ref({ ...empty }) as Ref<F>
  const busy = ref(false)
  const problem = ref<{ readonly field: string | null; readonly text: string } | null>(null)

  async function send(): Promise<void> {
    busy.value = true
    const reply = store.enter(await enter({ ...form.value }))
    busy.value = false
    if (reply.ok) return void navigateTo(home)
    const { error } = reply
    problem.value = {
      field: fieldOf(error),
      text:
        error.code === 'input/invalid'
          ? `${words[error.field] ?? error.field} ${error.problem}.`
          : sayRefusal(error),
    }
  }
  const errorOf = (field: keyof F & string) =>
    problem.value?.field === field ? problem.value.text : undefined
  /** A refusal that no field of the form can show. */
  const general = computed(() =>
    problem.value && !(problem.value.field !== null && problem.value.field in empty)
      ? problem.value.text
      : '',
  )
  return { form, busy, send, errorOf, general }
}
