<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { IsoDay } from '#core/base'
import type { Moment, NamedLesson, ReadingContext, WindowField } from '#core/availability'
import type { DayReader } from '~/shared/fields/dayReading'
import { readTypedMoment } from '../momentReading'
import { sayMomentSpec } from '~/shared/words/moments'

/** A line to type a moment in; what is understood stands beneath while it is typed, and counts with Enter. */
const props = defineProps<{
  field: WindowField
  lessons: readonly NamedLesson[]
  /** From where steps count, and the lesson that is meant. */
  counting: Pick<ReadingContext, 'current' | 'from' | 'now' | 'due'>
  today: IsoDay
  min?: IsoDay
  max?: IsoDay
}>()
const emit = defineEmits<{ take: [moment: Moment | null]; step: [by: 1 | -1] }>()
const text = ref('')
const isRefused = ref(false)
const reader = shallowRef<DayReader | null>(null)
/** The reader for plain language is large; it comes when the field is entered. */
async function prepare(): Promise<void> {
  reader.value ??= (await import('~/shared/fields/plainDays')).readPlainDay
}
const read = computed(() =>
  text.value.trim() === ''
    ? undefined
    : readTypedMoment(text.value, { ...props, ...props.counting }, reader.value),
)
const nameOf = (id: string) => props.lessons.find((l) => l.id === id)?.number ?? 'a lesson'
const understood = computed(() => {
  if (read.value !== undefined) return sayMomentSpec(read.value, props.field, nameOf)
  return isRefused.value ? `“${text.value.trim()}” says no moment. Write it like the examples.` : ''
})
async function take(): Promise<void> {
  await prepare()
  isRefused.value = read.value === undefined
  if (read.value === undefined) return
  emit('take', read.value)
  text.value = ''
}
</script>

<template>
  <div class="grid gap-1">
    <UInput
      v-model="text"
      name="moment-text"
      autocomplete="off"
      aria-label="Type a moment"
      placeholder="+2 meetings, end of W3, fri 3pm"
      @focus="prepare"
      @update:model-value="
        () => {
          isRefused = false
        }
      "
      @keydown.enter.prevent="take"
      @keydown.up.prevent="emit('step', 1)"
      @keydown.down.prevent="emit('step', -1)"
    />
    <p class="said" :class="{ refused: isRefused }" role="status" data-hook="understood">
      {{ understood || 'Enter takes it; arrows move it by a meeting.' }}
    </p>
  </div>
</template>

<style scoped>
.refused {
  color: var(--ui-error);
}
</style>
