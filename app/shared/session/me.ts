import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Instant, Result } from '#core/base'
import { SignOut, WhoAmI } from '#shared/contracts/accounts'
import type { Me } from '#shared/contracts/accounts'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '../wire/call'

/** Who is signed in, and the server's clock as far as this machine can follow it. */
export const useMe = defineStore('me', () => {
  const me = shallowRef<Me | null>(null)
  const asked = ref(false)
  /** Nobody could say who is signed in, for want of a connection. */
  const isLost = ref(false)
  const aheadMs = ref(0)

  /** Takes over an instant the server just said. */
  function hear(now: Instant): void {
    aheadMs.value = now - Date.now()
  }

  function take(found: Me): void {
    me.value = found
    asked.value = true
    hear(found.now)
  }

  /** Asks who is signed in: once, or `anew`. */
  async function ask(anew = false): Promise<void> {
    if (asked.value && !anew) return
    const reply = await call(WhoAmI)
    isLost.value = !reply.ok && reply.error.code === 'wire/lost'
    asked.value = !isLost.value
    if (reply.ok) take(reply.value)
  }

  /** Keeps the person a sign-in answered with. */
  function enter(reply: Result<Me, Refusal>): Result<Me, Refusal> {
    if (reply.ok) take(reply.value)
    return reply
  }

  /** Ends the session and forgets everything loaded in it. */
  async function leave(): Promise<void> {
    await call(SignOut)
    window.location.assign('/sign-in')
  }

  return { me, asked, isLost, aheadMs, ask, enter, hear, leave }
})
