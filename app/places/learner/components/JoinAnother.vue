<script setup lang="ts">
import { reactive, ref } from 'vue'
import { JoinAnother } from '#shared/contracts/accounts'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { namedFields, useContractForm } from '~/shared/fields/form'
import { call } from '~/shared/wire/call'

const emit = defineEmits<{ joined: [] }>()
const state = reactive({ code: '' })
const said = ref('')
const form = useContractForm({
  schema: JoinAnother.body,
  body: () => ({ ...state }),
  say: namedFields({ code: 'The code' }),
  send: () => call(JoinAnother, { body: { ...state } }),
  done: ({ className }) => {
    said.value = `You are in ${className}.`
    state.code = ''
    emit('joined')
  },
})
</script>

<template>
  <ContractForm class="grid gap-2" :form="form" :state="state">
    <div class="flex gap-2 items-end">
      <UFormField label="Class code" name="code"
        ><UInput v-model="state.code" name="code" autocomplete="off" autofocus /></UFormField
      ><UButton type="submit" :loading="form.isSending.value">Join</UButton>
    </div>
  </ContractForm>
  <p v-if="said" class="said mt-1" role="status">{{ said }}</p>
</template>
