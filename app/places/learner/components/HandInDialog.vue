<script setup lang="ts">
import { computed } from 'vue'
import { count } from '~/shared/words/numbers'

const props = defineProps<{
  /** Numbers and names of the questions without an answer. */
  open: readonly { readonly id: string; readonly number: number }[]
  busy: boolean
}>()
const isAsking = defineModel<boolean>({ required: true })
defineEmits<{ submit: []; jump: [id: string] }>()
const words = computed(() =>
  props.open.length === 0
    ? 'Everything is answered. You cannot change this try afterwards.'
    : `${count(props.open.length, 'question')} not answered yet. You cannot change this try afterwards.`,
)
</script>

<template>
  <UModal v-model:open="isAsking" :close="false" title="Hand in?" :description="words">
    <template v-if="open.length" #body
      ><div class="flex flex-wrap gap-1.5">
        <UButton
          v-for="i in open"
          :key="i.id"
          size="xs"
          color="neutral"
          variant="outline"
          @click="$emit('jump', i.id)"
          >Question {{ i.number }}</UButton
        >
      </div></template
    >
    <template #footer
      ><UButton size="md" :loading="busy" autofocus data-hook="confirm-hand-in" @click="$emit('submit')"
        >Hand in</UButton
      ><UButton
        size="md"
        color="neutral"
        variant="ghost"
        @click="
          () => {
            isAsking = false
          }
        "
        >Not yet</UButton
      ></template
    >
  </UModal>
</template>
