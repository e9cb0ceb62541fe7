<script setup lang="ts">
import type { ContractForm } from './form'

/** A form over a contract's body; `acts` are its buttons, below the `problem` that no field can show. */
defineProps<{ form: ContractForm; state: object }>()
</script>

<template>
  <UForm
    :ref="form.keepBox"
    novalidate
    :state="state"
    :validate="form.check"
    :validate-on="['input', 'change']"
    :loading-auto="false"
    @submit="form.submit"
    @error="form.toFirst"
  >
    <slot />
    <slot name="problem" :problem="form.problem.value">
      <p v-if="form.problem.value" class="note-line needs" role="alert">{{ form.problem.value }}</p>
    </slot>
    <slot name="acts" :is-sending="form.isSending.value" />
  </UForm>
</template>
