<script setup lang="ts">
import { useHead } from '#imports'
import { JoinClass } from '#shared/contracts/accounts'
import { useAddress } from '~/shared/frame/address'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { call } from '~/shared/wire/call'
import { useEntryForm } from './composables/entryForm'

useHead({ title: 'Join a class' })
const address = useAddress()
const { state, form } = useEntryForm(
  JoinClass.body,
  (body) => call(JoinClass, { body }),
  { code: address.text('code') ?? '', name: '', signIn: '', password: '' },
  { code: 'The code', name: 'Your name', signIn: 'Sign-in name', password: 'Password' },
  () => '/learn',
)
</script>

<template>
  <main class="mx-auto max-w-md px-5 py-14">
    <img src="/cairn.svg" alt="" width="44" height="44" class="mb-4" />
    <h1>Join a class</h1>
    <p class="my-3 text-toned">
      Your teacher has the class's code. Write your name as it stands in the class list.
    </p>
    <ContractForm class="grid gap-4" :form="form" :state="state">
      <UFormField label="Class code" name="code"
        ><UInput v-model="state.code" name="code" size="md" autocomplete="off" autofocus class="code"
      /></UFormField>
      <UFormField label="Your name" name="name"
        ><UInput v-model="state.name" name="name" size="md" autocomplete="name"
      /></UFormField>
      <UFormField label="Sign-in name" help="You choose it: letters, digits, dots or dashes" name="signIn"
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
          <UButton type="submit" size="md" :loading="isSending" data-hook="send">Join</UButton
          ><NuxtLink class="plain text-sm" to="/sign-in">Back to sign in</NuxtLink>
        </div>
      </template>
    </ContractForm>
  </main>
</template>
