<script setup lang="ts">
import { computed, ref } from 'vue'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import type { IsoDay } from '#core/base'
import type { RowDays, SeriesRow } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import DayField from '~/shared/fields/DayField.vue'
import { sayTarget } from '../../words/series'

/** Other days of one row for a group or a learner. */
const props = defineProps<{
  of: ClassSeries
  row: SeriesRow
  title: string
  days: RowDays
  today: IsoDay
}>()
const emit = defineEmits<{
  close: [answer: { readonly target: Target; readonly days: Partial<RowDays> | null } | null]
}>()
const people = computed<readonly Target[]>(() => [
  ...props.of.groups.map((g) => ({ kind: 'group' as const, groupId: g.id })),
  ...props.of.learners.map((l) => ({ kind: 'learner' as const, learnerId: l.id })),
])
const items = computed(() => people.value.map((t) => ({ label: sayTarget(t, props.of), value: keyOf(t) })))
const who = ref<string | undefined>(undefined)
const opensOn = ref<IsoDay | null>(props.days.opensOn)
const throughOn = ref<IsoDay | null>(props.days.throughOn)
const target = computed(() => people.value.find((t) => keyOf(t) === who.value) ?? null)
const whoSaid = computed(() => (target.value ? sayTarget(target.value, props.of) : 'A group or a learner'))
function take(): void {
  if (!target.value) return
  emit('close', { target: target.value, days: { opensOn: opensOn.value, throughOn: throughOn.value } })
}
</script>

<template>
  <UModal :title="`Otherwise for somebody: ${title}`" @update:open="emit('close', null)">
    <template #body>
      <form id="row-for" class="grid gap-3" @submit.prevent="take">
        <UFormField label="For">
          <USelectMenu
            v-model="who"
            value-key="value"
            :items="items"
            class="w-full"
            placeholder="A group or a learner"
            :aria-label="`For: ${whoSaid}`"
          />
        </UFormField>
        <div class="grid grid-cols-2 gap-3">
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
              @click="emit('close', { target: o.target, days: null })"
              >The same as everybody</UButton
            >
          </li>
        </ul>
      </form>
    </template>
    <template #footer>
      <UButton size="md" type="submit" form="row-for" :disabled="!target">Set</UButton>
      <UButton size="md" color="neutral" variant="ghost" @click="emit('close', null)">Leave it</UButton>
    </template>
  </UModal>
</template>
