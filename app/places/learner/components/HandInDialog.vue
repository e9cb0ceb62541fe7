<script setup lang="ts">
import { computed } from 'vue'
import { count } from '~/shared/words/numbers'

const props = defineProps<{
  /** Numbers and names of the questions without an answer. */
  open: readonly { readonly id: string; readonly number: number }[]
  busy: boolean
  /** A further try goes on with what was handed in. */
  goesOn: boolean
  /** What is far too short, or was left out, with its figures. */
  short: readonly string[]
}>()
const isAsking = defineModel<boolean>({ required: true })
defineEmits<{ submit: []; jump: [id: string] }>()
const after = computed(() =>
  props.goesOn ? 'You can go on with it afterwards.' : 'You cannot change this try afterwards.',
)
const words = computed(() => {
  const { length } = props.open
  const said = length === 0 ? 'Everything is answered.' : `${count(length, 'question')} not answered yet.`
  return `${said} ${after.value}`
})
</script>

<template>
  <UModal v-model:open="isAsking" :close="false" title="Hand in?" :description="words">
    <template v-if="open.length || short.length" #body
      ><p v-for="line in short" :key="line" class="note-line care mb-2" data-hook="far-too-short">
        {{ line }}
      </p>
      <div class="flex flex-wrap gap-1.5">
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
