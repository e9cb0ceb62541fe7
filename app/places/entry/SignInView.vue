<script setup lang="ts">
import { useHead } from '#imports'
import { onMounted, shallowRef } from 'vue'
import { DemoPeople, SignIn } from '#shared/contracts/accounts'
import type { DemoPerson } from '#shared/contracts/accounts'
import { useAddress } from '~/shared/frame/address'
import { call } from '~/shared/wire/call'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { useEntryForm } from './composables/entryForm'

useHead({ title: 'Sign in' })
const address = useAddress()
const people = shallowRef<readonly DemoPerson[]>([])
/** Only an address of ours: nobody is led elsewhere by signing in. */
const inside = (path: string | null) => (path?.startsWith('/') && !path.startsWith('//') ? path : null)
const goOn = (): string => inside(address.text('to')) ?? '/'
const { state, form } = useEntryForm(
  SignIn.body,
  (body) => call(SignIn, { body }),
  { signIn: '', password: '' },
  { signIn: 'Sign-in name', password: 'Password' },
  goOn,
)

onMounted(async () => {
  const reply = await call(DemoPeople)
  if (reply.ok) people.value = reply.value.people
})
async function enterAs(person: DemoPerson): Promise<void> {
  Object.assign(state, { signIn: person.signIn, password: person.password })
  await form.submit()
}
</script>

<template>
  <main class="page">
    <section class="about">
      <img src="/cairn.svg" alt="" width="64" height="64" />
      <h1>Step Cairn</h1>
      <p class="lead">
        Plan the year once. Every class gets its own dates, and the work you set moves with the plan.
      </p>
      <ul class="points">
        <li>Lay one plan on every class's real meetings.</li>
        <li>Hang work on lessons, not on dates.</li>
        <li>See who has done what, item by item.</li>
      </ul>
    </section>
    <section class="forms">
      <ContractForm class="sign-in" :form="form" :state="state">
        <h2>Sign in</h2>
        <UFormField label="Sign-in name" name="signIn"
          ><UInput v-model="state.signIn" name="signIn" autocomplete="username" size="md" required autofocus
        /></UFormField>
        <UFormField label="Password" name="password"
          ><UInput
            v-model="state.password"
            name="password"
            type="password"
            autocomplete="current-password"
            size="md"
            required
        /></UFormField>
        <template #acts="{ isSending }">
          <UButton type="submit" size="md" :loading="isSending" data-hook="sign-in">Sign in</UButton>
          <p class="text-sm">
            New here? <NuxtLink class="plain" to="/sign-up">Set up a school</NuxtLink> as a teacher, or
            <NuxtLink class="plain" to="/join">join a class</NuxtLink> with its code.
          </p>
        </template>
      </ContractForm>
      <div v-if="people.length > 0" class="demo">
        <h2>The demo school, in one click</h2>
        <ul>
          <li v-for="p in people" :key="p.signIn">
            <button
              type="button"
              :disabled="form.isSending.value"
              :data-hook="`demo-${p.signIn}`"
              @click="enterAs(p)"
            >
              <strong>{{ p.name }}</strong><span>{{ p.about }}</span>
            </button>
          </li>
        </ul>
      </div>
    </section>
  </main>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  min-height: 100dvh;
}
.about {
  display: flex;
  flex-direction: column;
  gap: 1rem;
  justify-content: center;
  padding: 3rem clamp(1.5rem, 6vw, 6rem);
  background: var(--color-tarn-800);
  color: #e9f2f2;
}
.about h1 {
  color: #fff;
  font-size: 2.25rem;
}
.lead {
  font-size: 1.08rem;
  line-height: 1.5;
  max-width: 26rem;
}
.points {
  display: grid;
  gap: 0.5rem;
  padding-left: 1.1rem;
  list-style: square;
  max-width: 26rem;
}
.forms {
  display: grid;
  gap: 2rem;
  align-content: center;
  padding: 2.5rem clamp(1.25rem, 5vw, 5rem);
}
form {
  display: grid;
  gap: 0.9rem;
  max-width: 24rem;
}
form :deep(button[type='submit']) {
  justify-self: start;
}
.demo {
  border-top: 1px solid var(--ui-border);
  padding-top: 1.25rem;
  max-width: 34rem;
}
.demo ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 0.15rem 1rem;
  margin-top: 0.6rem;
}
.demo button {
  display: grid;
  width: 100%;
  text-align: left;
  padding: 0.4rem 0.5rem;
  border-radius: 0.35rem;
  cursor: pointer;
}
.demo button:hover {
  background: var(--ui-bg-accented);
}
.demo strong {
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 3px;
  font-weight: 600;
}
.demo span {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
@media (max-width: 820px) {
  .page {
    grid-template-columns: 1fr;
    min-height: 0;
  }
  .about {
    padding: 1.5rem;
    gap: 0.6rem;
  }
  .about h1 {
    font-size: 1.59rem;
  }
  .points {
    display: none;
  }
  .forms {
    align-content: start;
    padding-block: 1.5rem;
  }
}
</style>
