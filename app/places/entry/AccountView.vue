<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, reactive, ref } from 'vue'
import { ChangePassword, EndOtherSessions } from '#shared/contracts/accounts'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { namedFields, useContractForm } from '~/shared/fields/form'
import { useTell } from '~/shared/frame/tell'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'

useHead({ title: 'Your account' })
const store = useMe()
const tell = useTell()
const mustChange = computed(() => store.me?.mustChangePassword ?? false)
const state = reactive({ current: '', next: '' })
const form = useContractForm({
  schema: ChangePassword.body,
  body: () => ({ ...state }),
  say: namedFields({ current: 'Present password', next: 'New password' }),
  send: () => call(ChangePassword, { body: { ...state } }),
  done: async () => {
    const first = mustChange.value
    Object.assign(state, { current: '', next: '' })
    await store.ask(true)
    tell.done('Your password is changed. Other browsers are signed out.')
    if (first) await navigateTo('/')
  },
})
const isEnding = ref(false)
async function endOthers(): Promise<void> {
  isEnding.value = true
  const reply = await call(EndOtherSessions)
  isEnding.value = false
  if (reply.ok) tell.done('You are signed out everywhere but here.')
  else tell.refused(reply.error)
}
</script>

<template>
  <main class="mx-auto max-w-md px-5 py-14 grid gap-8">
    <div>
      <img src="/cairn.svg" alt="" width="44" height="44" class="mb-4" />
      <h1>{{ mustChange ? 'Choose a password of your own' : 'Your account' }}</h1>
      <p class="mt-3 text-toned">
        <template v-if="mustChange"
          >{{ store.me?.name }}, the password on your card was for one time only. Nobody will know the new one
          but you.</template
        ><template v-else>{{ store.me?.name }}, {{ store.me?.schoolName }}</template>
      </p>
    </div>
    <section aria-labelledby="password">
      <h2 id="password" class="mb-3">Password</h2>
      <ContractForm class="grid gap-4" :form="form" :state="state">
        <UFormField :label="mustChange ? 'Password on your card' : 'Present password'" name="current"
          ><UInput
            v-model="state.current"
            name="current"
            type="password"
            size="md"
            autocomplete="current-password"
        /></UFormField>
        <UFormField label="New password" help="At least 8 characters" name="next"
          ><UInput v-model="state.next" name="next" type="password" size="md" autocomplete="new-password"
        /></UFormField>
        <template #acts="{ isSending }">
          <div>
            <UButton type="submit" size="md" :loading="isSending" data-hook="change-password"
              >Change password</UButton
            >
          </div>
        </template>
      </ContractForm>
    </section>
    <section v-if="!mustChange" aria-labelledby="sessions">
      <h2 id="sessions" class="mb-1">Where you are signed in</h2>
      <p class="said mb-3">On a shared computer and forgot to sign out? This ends it there at once.</p>
      <UButton
        size="md"
        color="neutral"
        variant="outline"
        :loading="isEnding"
        data-hook="end-sessions"
        @click="endOthers"
        >Sign out everywhere else</UButton
      >
    </section>
    <p>
      <NuxtLink v-if="!mustChange" class="plain" to="/">Back to your work</NuxtLink
      ><UButton v-else size="md" variant="link" class="px-0" @click="store.leave()">Sign out</UButton>
    </p>
  </main>
</template>
