<script setup lang="ts">
import { computed } from 'vue'
import type { Accepted } from '#core/followUp'
import type { FollowUpPage } from '#shared/contracts/followUp'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayList } from '~/shared/words/lists'
import { NONE, useGivingFollowUp } from '../../composables/givingFollowUp'
import { meetingItems, sayChoice, sayGive } from '../../followUpWords'

/** When it opens and is due, where it counts, what comes after; then one press gives it as one work. */
const props = defineProps<{ page: FollowUpPage; accepted: readonly Accepted[] }>()
const emit = defineEmits<{ given: [] }>()
const giving = useGivingFollowUp(
  () => props.page,
  () => props.accepted,
)
const { opens, due, category, then, checks, ahead, busy, isReady } = giving
const meetings = computed(() => meetingItems(props.page.meetings, props.page.zone))
const opensItems = computed(() => [{ value: NONE, label: 'At once' }, ...meetings.value])
const dueItems = computed(() => [{ value: NONE, label: 'Without a date' }, ...meetings.value])
const UNNAMED = 'no category'
const categoryItems = computed(() => [
  { value: UNNAMED, label: 'No category' },
  ...props.page.filing.categories.map(({ name, most }) => ({
    value: name,
    label: most === null ? name : `${name}, ${count(most, 'piece')} at once`,
  })),
])
const named = computed({
  get: () => category.value || UNNAMED,
  set: (next: string) => {
    category.value = next === UNNAMED ? '' : next
  },
})
const thenItems = computed(() => [
  { value: NONE, label: 'Nothing' },
  ...checks.value.map((p) => ({
    value: p.id,
    label: p.id === props.page.resourceId ? `The same again: ${sayChoice(p)}` : sayChoice(p),
  })),
])
const learners = computed(() => new Set(props.accepted.map((a) => a.learnerId)).size)
const problem = computed(() => ahead.value?.problems[0] ?? null)
const waiting = computed(() => {
  const ids = new Set(ahead.value?.waiting)
  return props.page.learners.filter((l) => ids.has(l.id)).map((l) => l.name)
})
async function give(): Promise<void> {
  if (await giving.give()) emit('given')
}
</script>

<template>
  <section class="grid gap-3" data-hook="give-follow-up">
    <div class="field-row">
      <label>
        <span class="said">Opens</span>
        <USelect v-model="opens" :items="opensItems" class="w-60" data-hook="opens" />
      </label>
      <label>
        <span class="said">Due</span>
        <USelect v-model="due" :items="dueItems" class="w-60" data-hook="due" />
      </label>
      <label v-if="page.filing.categories.length">
        <span class="said">Counts under</span>
        <USelect v-model="named" :items="categoryItems" class="w-52" data-hook="category" />
      </label>
      <label v-if="checks.length">
        <span class="said">When that is done</span>
        <USelect v-model="then" :items="thenItems" class="w-72 max-w-full" data-hook="then" />
      </label>
    </div>
    <p v-if="problem" class="note-line needs" role="alert" data-hook="cannot-stand">
      {{ sayRefusal(problem) }}
    </p>
    <p v-if="waiting.length" class="note-line care" data-hook="will-wait">
      {{ sayList(waiting) }} {{ waiting.length === 1 ? 'waits' : 'wait' }} until there is room under
      {{ category }}; it then comes by itself.
    </p>
    <div class="flex flex-wrap items-center gap-3">
      <UButton
        :disabled="!isReady || busy || problem !== null"
        :loading="busy"
        data-hook="give"
        @click="give"
        >{{ isReady ? sayGive(accepted.length, learners) : 'Nothing is ticked' }}</UButton
      >
      <p class="said">One work, in which everybody has only their own. Undo takes it back.</p>
    </div>
  </section>
</template>

<style scoped src="../fieldRow.css"></style>
