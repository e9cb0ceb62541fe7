import { beforeEach, describe, expect, it, vi } from 'vitest'
import { SignUp } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { namedFields, useContractForm } from './form'

const NAMES = { name: 'Your name', password: 'Password', signIn: 'Sign-in name' }
const FINE = { school: 'Tarn Hollow', name: 'Ada Moss', signIn: 'ada', password: 'long enough' }

/** A form with a refusal to come, and what it showed at its fields. */
function aForm(body: Record<string, string>, refusal: Refusal | null = null) {
  const shown: { readonly name: string; readonly message: string }[] = []
  const done = vi.fn()
  const send = vi.fn(() =>
    Promise.resolve(refusal ? { ok: false as const, error: refusal } : { ok: true as const, value: 'in' }),
  )
  const form = useContractForm({ schema: SignUp.body, body: () => body, say: namedFields(NAMES), send, done })
  form.keepBox({ setErrors: (errors: typeof shown) => shown.push(...errors) })
  return { form, shown, done, send }
}

describe('a form over a contract', () => {
  const field = { focus: vi.fn() }
  beforeEach(() => {
    field.focus.mockClear()
    const body = {}
    vi.stubGlobal('HTMLElement', Object)
    vi.stubGlobal('CSS', { escape: (text: string) => text })
    vi.stubGlobal('document', {
      body,
      activeElement: body,
      querySelector: (selector: string) => (selector === '[name="signIn"]' ? field : null),
      getElementById: (id: string) => (id === 'first' ? field : null),
    })
  })

  it('is checked by the contract’s own body, in the words of its fields', () => {
    const { form } = aForm({ ...FINE, password: 'short', name: ' ' })
    expect(form.check()).toEqual([
      { name: 'name', message: 'Your name is empty.' },
      { name: 'password', message: 'Password needs at least 8 characters.' },
    ])
    expect(form.problem.value).toBe('')
    expect(aForm(FINE).form.check()).toEqual([])
  })

  it('says above its buttons what no field can show', () => {
    const { form } = aForm({ ...FINE, school: '' })
    expect(form.check()).toEqual([{ name: '', message: 'school is empty.' }])
    expect(form.problem.value).toBe('school is empty.')
  })

  it('goes on with the reply', async () => {
    const { form, done, shown } = aForm(FINE)
    await form.submit()
    expect(done).toHaveBeenCalledWith('in')
    expect(shown).toEqual([])
    expect(form.isSending.value).toBe(false)
  })

  it('shows a refusal at its field, and goes there', async () => {
    const { form, shown, done } = aForm(FINE, {
      code: 'input/invalid',
      field: 'signIn',
      problem: 'needs 2 to 40 letters',
    })
    await form.submit()
    expect(shown).toEqual([{ name: 'signIn', message: 'Sign-in name needs 2 to 40 letters.' }])
    expect(form.problem.value).toBe('')
    expect(done).not.toHaveBeenCalled()
    expect(field.focus).toHaveBeenCalledOnce()
  })

  it('keeps a refusal of no field above its buttons until it is sent again', async () => {
    const { form, shown } = aForm(FINE, { code: 'wire/lost' })
    await form.submit()
    expect(shown).toEqual([])
    expect(form.problem.value).not.toBe('')
    form.check()
    expect(form.problem.value).toBe('')
  })

  it('goes to the first field that is wrong', () => {
    aForm(FINE).form.toFirst({ errors: [{ name: 'x' }, { id: 'first', name: 'password' }] })
    expect(field.focus).toHaveBeenCalledOnce()
  })
})
