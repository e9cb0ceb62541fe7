<script setup lang="ts">
import { ref } from 'vue'
import { JoinAnother } from '#shared/contracts/accounts'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

const emit = defineEmits<{ joined: [] }>()
const code = ref('')
const said = ref('')
async function join(): Promise<void> {
  const reply = await call(JoinAnother, { body: { code: code.value } })
  said.value = reply.ok
    ? `You are in ${reply.value.className}.`
    : reply.error.code === 'input/invalid'
      ? `The code ${reply.error.problem}.`
      : sayRefusal(reply.error)
  if (!reply.ok) return
  code.value = ''
  emit('joined')
}
</script>

<template>
  <form class="flex gap-2 items-end" novalidate @submit.prevent="join">
    <UFormField label="Class code"
      ><UInput v-model="code" name="code" autocomplete="off" autofocus /></UFormField
    ><UButton type="submit">Join</UButton>
  </form>
  <p v-if="said" class="said mt-1" role="status">{{ said }}</p>
</template>
