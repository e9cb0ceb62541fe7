<script setup lang="ts">
import { computed, ref } from 'vue'
import { addDays } from '#core/base'
import type { IsoDay, UserId } from '#core/base'
import DayField from '~/shared/fields/DayField.vue'
import type { DayMarks } from '~/shared/fields/DayField.vue'
import { count } from '~/shared/words/numbers'
import type { Needing } from '../whoNeedsAgain'

/** For whom work is opened again, and until when; answers with both, or null. */
const props = defineProps<{
  title: string
  needing: readonly Needing[]
  today: IsoDay
  marks: DayMarks
}>()
const emit = defineEmits<{
  close: [again: { readonly learnerIds: readonly UserId[]; readonly on: IsoDay } | null]
}>()
const WEEK = 7
const until = ref<IsoDay | null>(addDays(props.today, WEEK))
const chosen = ref<ReadonlySet<UserId>>(new Set(props.needing.map((n) => n.id)))
function choose(id: UserId, isOn: boolean): void {
  const next = new Set(chosen.value)
  if (isOn) next.add(id)
  else next.delete(id)
  chosen.value = next
}
const isReady = computed(() => chosen.value.size > 0 && until.value !== null)
function reopen(): void {
  if (until.value) emit('close', { learnerIds: [...chosen.value], on: until.value })
}
</script>

<template>
  <UModal
    :title="`Open “${title}” again`"
    description="It is due through that day for those who are ticked. Who has handed it in has one more try."
    :close="false"
    @update:open="emit('close', null)"
  >
    <template #body>
      <UFormField label="Through" class="mb-3"
        ><DayField v-model="until" label="Through" :today="today" :min="today" :marks="marks"
      /></UFormField>
      <ul class="grid gap-1.5 max-h-72 overflow-auto p-1" data-hook="needing">
        <li v-for="n in needing" :key="n.id">
          <UCheckbox
            :model-value="chosen.has(n.id)"
            :label="`${n.name}, ${n.about}`"
            @update:model-value="choose(n.id, $event === true)"
          />
        </li>
      </ul>
    </template>
    <template #footer>
      <UButton size="md" :disabled="!isReady" autofocus data-hook="reopen-confirm" @click="reopen"
        >Open again for {{ count(chosen.size, 'learner') }}</UButton
      >
      <UButton size="md" color="neutral" variant="ghost" @click="emit('close', null)">Leave it</UButton>
    </template>
  </UModal>
</template>
