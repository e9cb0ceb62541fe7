import { nextTick, ref } from 'vue'
import type { Result } from '#core/base'
import type { AnyContract } from '#shared/contracts/contract'
import type { Refusal } from '#shared/contracts/refusal'
import { fieldOf } from '~/shared/words/everyonesRefusals'
import { useSaying } from '~/shared/words/saying'

/** A fault in the words of its form; `name` is that of the field that shows it, null where none does. */
export interface Fault {
  readonly name: string | null
  readonly message: string
}
export type SayFault = (field: string, problem: string) => Fault

interface Asking<R> {
  /** The contract's own body. */
  readonly schema: AnyContract['body']
  /** What would be sent now. */
  readonly body: () => unknown
  readonly say: SayFault
  /** Null: it was left, and what was written stays. */
  readonly send: () => Promise<Result<R, Refusal> | null>
  readonly done: (value: R) => unknown
}
/** What the form component can do, as far as it is used here. */
interface FormBox {
  readonly setErrors: (errors: { readonly name: string; readonly message: string }[]) => void
}

/** Faults of fields that the form has; of others, said with their own name or `rest`. */
export const namedFields =
  (names: Readonly<Record<string, string>>, rest?: string): SayFault =>
  (field, problem) => ({
    name: field in names ? field : null,
    message: `${names[field] ?? rest ?? field} ${problem}.`,
  })

/**
 * A form over the body of a contract: that very schema checks it before it is sent; what is wrong stands at its
 * field, which takes the focus; what belongs to no field is `problem`. Shown by ContractForm.vue.
 */
export function useContractForm<R>({ schema, body, say, send, done }: Asking<R>) {
  const sayRefusal = useSaying()
  let box: FormBox | null = null
  const isSending = ref(false)
  const problem = ref('')

  function keepBox(shown: unknown): void {
    box = shown as FormBox | null
  }
  function check(): { name: string; message: string }[] {
    problem.value = ''
    const parsed = schema.safeParse(body())
    const faults = (parsed.error?.issues ?? []).map((issue) => say(issue.path.join('.'), issue.message))
    problem.value = faults.find((fault) => fault.name === null)?.message ?? ''
    return faults.map(({ name, message }) => ({ name: name ?? '', message }))
  }
  async function submit(): Promise<void> {
    const before = document.activeElement === document.body ? null : document.activeElement
    isSending.value = true
    problem.value = ''
    const reply = await send()
    isSending.value = false
    if (reply === null) return
    if (reply.ok) return void (await done(reply.value))
    const { error } = reply
    const field = fieldOf(error)
    const fault =
      error.code === 'input/invalid'
        ? say(error.field, error.problem)
        : { name: field === null ? null : say(field, '').name, message: sayRefusal(error) }
    if (fault.name === null) problem.value = fault.message
    else box?.setErrors([{ name: fault.name, message: fault.message }])
    await nextTick()
    // the button could not keep the focus while it was busy
    if (document.activeElement !== document.body) return
    focusOn(fault.name, before)
  }
  function toFirst(event: {
    readonly errors: readonly { readonly id?: string; readonly name?: string }[]
  }): void {
    const first = event.errors.find((error) => error.id) ?? event.errors[0]
    const element = first?.id ? document.getElementById(first.id) : null
    if (element) element.focus()
    else focusOn(first?.name ?? null, null)
  }
  return { keepBox, isSending, problem, check, submit, toFirst }
}

function focusOn(name: string | null, otherwise: Element | null): void {
  const field = name ? document.querySelector<HTMLElement>(`[name="${CSS.escape(name)}"]`) : null
  const target = field ?? otherwise
  if (target instanceof HTMLElement) target.focus()
}

/** A form as ContractForm.vue shows it. */
export type ContractForm = ReturnType<typeof useContractForm>
