<script setup lang="ts">
import { useHead } from '#imports'
import { onMounted, shallowRef } from 'vue'
import { ShowEntry, SignUp } from '#shared/contracts/accounts'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { call } from '~/shared/wire/call'
import { useEntryForm } from './composables/entryForm'

useHead({ title: 'Set up a school' })
const { state, form } = useEntryForm(
  SignUp.body,
  (body) => call(SignUp, { body }),
  { school: '', name: '', signIn: '', password: '', invitation: '' },
  {
    school: 'School',
    name: 'Your name',
    signIn: 'Sign-in name',
    password: 'Password',
    invitation: 'Invitation',
  },
  () => '/classes',
)
const letsIn = shallowRef<'open' | 'closed' | 'invitation'>('open')
onMounted(async () => {
  const reply = await call(ShowEntry)
  if (reply.ok) letsIn.value = reply.value.signUp
})
</script>

<template>
  <main class="mx-auto max-w-md px-5 py-14">
    <img src="/cairn.svg" alt="" width="44" height="44" class="mb-4" />
    <h1>Set up a school</h1>
    <p class="my-3 text-toned">
      You get an empty workspace of your own: then a school year, a class, a plan. Learners join with a code.
    </p>
    <p v-if="letsIn === 'closed'" class="note-line care" data-hook="closed">
      New schools are not made here. Ask whoever runs this server, or
      <NuxtLink class="plain" to="/join">join a class</NuxtLink> with its code.
    </p>
    <ContractForm v-else class="grid gap-4" :form="form" :state="state">
      <UFormField
        v-if="letsIn === 'invitation'"
        label="Invitation"
        help="The word that whoever runs this server gave you"
        name="invitation"
        ><UInput v-model="state.invitation" name="invitation" size="md"
      /></UFormField>
      <UFormField label="School" name="school"
        ><UInput v-model="state.school" name="school" size="md" autofocus
      /></UFormField>
      <UFormField label="Your name" name="name"
        ><UInput v-model="state.name" name="name" size="md" autocomplete="name"
      /></UFormField>
      <UFormField label="Sign-in name" help="Letters, digits, dots or dashes" name="signIn"
        ><UInput v-model="state.signIn" name="signIn" size="md" autocomplete="username"
      /></UFormField>
      <UFormField label="Password" help="At least 8 characters" name="password"
        ><UInput
          v-model="state.password"
          name="password"
          type="password"
          size="md"
          autocomplete="new-password"
      /></UFormField>
      <template #acts="{ isSending }">
        <div class="flex items-center gap-4">
          <UButton type="submit" size="md" :loading="isSending" data-hook="send">Set up</UButton
          ><NuxtLink class="plain text-sm" to="/sign-in">Back to sign in</NuxtLink>
        </div>
      </template>
    </ContractForm>
  </main>
</template>
