<script setup lang="ts">
import { ref, watch } from 'vue'
import { sayMinute } from '~/shared/words/times'
import { readTypedClock } from './clockReading'

/** A clock time as minutes after midnight. */
const props = defineProps<{
  label?: string
  name?: string
  mayBeEmpty?: boolean
  disabled?: boolean
}>()
const minuteOfDay = defineModel<number | null | undefined>({ required: true })

const shown = () => (typeof minuteOfDay.value === 'number' ? sayMinute(minuteOfDay.value) : '')
const text = ref(shown())
const problem = ref('')
watch(minuteOfDay, () => {
  text.value = shown()
  problem.value = ''
})
function take(event: Event): void {
  const typed = (event.target as HTMLInputElement).value
  if (typed.trim() === '' && props.mayBeEmpty) {
    minuteOfDay.value = null
    return
  }
  const read = readTypedClock(typed)
  problem.value = read === null ? `“${typed.trim()}” is no time. Write it like 8:30 or 2 pm.` : ''
  if (read === null) return
  minuteOfDay.value = read
  text.value = sayMinute(read)
}
</script>

<template>
  <div class="clock-field">
    <UInput
      v-model="text"
      :name="name"
      :aria-label="label"
      :aria-invalid="problem !== '' || undefined"
      :disabled="disabled"
      placeholder="8:30"
      autocomplete="off"
      class="w-full"
      @change="take"
    />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.clock-field {
  min-width: 6.5rem;
}
.problem {
  font-size: var(--text-xs);
  color: var(--ui-error);
  max-width: 14rem;
}
</style>
