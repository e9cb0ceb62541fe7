<script setup lang="ts">
import { ref } from 'vue'
import { MOST_ORGANISERS } from '#core/versions'
import type { Organiser } from '#core/versions'
import OrganiserForm from './OrganiserForm.vue'

/** Organisers one after the other, such as to read closely and then to plan. */
const props = defineProps<{ organisers: readonly Organiser[] }>()
const emit = defineEmits<{ organisers: [organisers: readonly Organiser[]] }>()
/** One more is being chosen. */
const isAdding = ref(props.organisers.length === 0)
function set(at: number, organiser: Organiser): void {
  emit('organisers', props.organisers.with(at, organiser))
}
function add(organiser: Organiser): void {
  isAdding.value = false
  emit('organisers', [...props.organisers, organiser])
}
function takeOut(at: number): void {
  const left = props.organisers.toSpliced(at, 1)
  isAdding.value = left.length === 0
  emit('organisers', left)
}
</script>

<template>
  <div class="grid gap-3">
    <div v-for="(organiser, i) in organisers" :key="i" class="grid gap-1">
      <OrganiserForm :organiser="organiser" @organiser="set(i, $event)" />
      <UButton
        v-if="organisers.length > 1"
        size="xs"
        class="justify-self-start"
        color="neutral"
        variant="ghost"
        @click="takeOut(i)"
        >Take out organiser {{ i + 1 }}</UButton
      >
    </div>
    <OrganiserForm v-if="isAdding" :organiser="null" @organiser="add" />
    <UButton
      v-else-if="organisers.length < MOST_ORGANISERS"
      size="xs"
      class="justify-self-start"
      color="neutral"
      variant="outline"
      data-hook="add-organiser"
      @click="
        () => {
          isAdding = true
        }
      "
      >Another organiser</UButton
    >
  </div>
</template>
