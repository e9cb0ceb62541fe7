<script setup lang="ts">
import { computed, ref } from 'vue'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import type { IsoDay } from '#core/base'
import type { RowDays, SeriesRow } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import DayField from '~/shared/fields/DayField.vue'
import type { RowAnswer } from '../../rowAnswer'
import { sayTarget } from '../../words/series'

/** One row for some groups and learners: on other days, or for them alone. */
const props = defineProps<{
  of: ClassSeries
  row: SeriesRow
  title: string
  days: RowDays
  today: IsoDay
}>()
const emit = defineEmits<{
  close: [answer: RowAnswer | null]
}>()
const people = computed<readonly Target[]>(() => [
  ...props.of.groups.map((g) => ({ kind: 'group' as const, groupId: g.id })),
  ...props.of.learners.map((l) => ({ kind: 'learner' as const, learnerId: l.id })),
])
const items = computed(() => people.value.map((t) => ({ label: sayTarget(t, props.of), value: keyOf(t) })))
const who = ref<string[]>((props.row.only ?? []).map(keyOf))
const how = ref<'days' | 'alone'>(props.row.only ? 'alone' : 'days')
const HOWS = [
  { value: 'days' as const, label: 'On other days' },
  { value: 'alone' as const, label: 'For them alone' },
]
const opensOn = ref<IsoDay | null>(props.days.opensOn)
const throughOn = ref<IsoDay | null>(props.days.throughOn)
const targets = computed(() => people.value.filter((t) => who.value.includes(keyOf(t))))
const whoSaid = computed(
  () => targets.value.map((t) => sayTarget(t, props.of)).join(', ') || 'Groups or learners',
)
function take(): void {
  if (how.value === 'alone') return emit('close', { kind: 'alone', targets: targets.value })
  const days = { opensOn: opensOn.value, throughOn: throughOn.value }
  emit('close', { kind: 'days', targets: targets.value, days })
}
</script>

<template>
  <UModal :title="`Otherwise for somebody: ${title}`" @update:open="emit('close', null)">
    <template #body>
      <form id="row-for" class="grid gap-3" @submit.prevent="take">
        <UFormField label="For">
          <USelectMenu
            v-model="who"
            multiple
            value-key="value"
            :items="items"
            class="w-full"
            placeholder="Groups or learners"
            :aria-label="`For: ${whoSaid}`"
          />
        </UFormField>
        <ChoiceButtons
          label="How it is for them"
          :items="HOWS"
          :model-value="how"
          @update:model-value="
            (to) => {
              how = to ?? how
            }
          "
        />
        <p v-if="how === 'alone'" class="said">
          {{
            targets.length ? 'Nobody else gets this row.' : 'With nobody chosen it is for all of the series.'
          }}
        </p>
        <div v-else class="grid grid-cols-2 gap-3">
          <UFormField label="Opens">
            <DayField v-model="opensOn" label="Opens" :today="today" :max="of.days.lastOn" may-be-empty />
          </UFormField>
          <UFormField label="Through">
            <DayField v-model="throughOn" label="Through" :today="today" :max="of.days.lastOn" may-be-empty />
          </UFormField>
        </div>
        <ul v-if="row.others.length" class="grid gap-1">
          <li v-for="o in row.others" :key="keyOf(o.target)" class="flex items-center gap-2">
            <span class="flex-1">{{ sayTarget(o.target, of) }} has other days.</span>
            <UButton
              size="xs"
              variant="outline"
              color="neutral"
              @click="emit('close', { kind: 'days', targets: [o.target], days: null })"
              >The same as everybody</UButton
            >
          </li>
        </ul>
      </form>
    </template>
    <template #footer>
      <UButton size="md" type="submit" form="row-for" :disabled="how === 'days' && targets.length === 0"
        >Set</UButton
      >
      <UButton size="md" color="neutral" variant="ghost" @click="emit('close', null)">Leave it</UButton>
    </template>
  </UModal>
</template>
