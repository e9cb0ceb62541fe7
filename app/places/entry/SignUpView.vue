<script setup lang="ts">
import { useHead } from '#imports'
import { SignUp } from '#shared/contracts/accounts'
import { call } from '~/shared/wire/call'
import { useEntryForm } from './composables/entryForm'

useHead({ title: 'Set up a school · Step Cairn' })
const { form, busy, send, errorOf, general } = useEntryForm(
  (body) => call(SignUp, { body }),
  { school: '', name: '', signIn: '', password: '' },
  { school: 'School', name: 'Your name', signIn: 'Sign-in name', password: 'Password' },
  '/classes',
)
</script>

<template>
  <main class="mx-auto max-w-md px-5 py-14">
    <img src="/cairn.svg" alt="" width="44" height="44" class="mb-4" />
    <h1>Set up a school</h1>
    <p class="my-3 text-toned">
      You get an empty workspace of your own: then a school year, a class, a plan. Learners join with a code.
    </p>
    <form class="grid gap-4" novalidate @submit.prevent="send">
      <UFormField label="School" :error="errorOf('school')"
        ><UInput v-model="form.school" name="school" size="md" autofocus
      /></UFormField>
      <UFormField label="Your name" :error="errorOf('name')"
        ><UInput v-model="form.name" name="name" size="md" autocomplete="name"
      /></UFormField>
      <UFormField label="Sign-in name" help="Letters, digits, dots or dashes" :error="errorOf('signIn')"
        ><UInput v-model="form.signIn" name="signIn" size="md" autocomplete="username"
      /></UFormField>
      <UFormField label="Password" help="At least 8 characters" :error="errorOf('password')"
        ><UInput
          v-model="form.password"
          name="password"
          type="password"
          size="md"
          autocomplete="new-password"
      /></UFormField>
      <p v-if="general" class="note-line needs" role="alert">{{ general }}</p>
      <div class="flex items-center gap-4">
        <UButton type="submit" size="md" :loading="busy" data-hook="send">Set up</UButton
        ><NuxtLink class="plain text-sm" to="/sign-in">Back to sign in</NuxtLink>
      </div>
    </form>
  </main>
</template>
