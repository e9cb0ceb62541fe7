<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { IsoDay } from '#core/base'
import type { FixedDate } from '#core/pacing'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useOverview } from '~/shared/session/overview'
import { useToday } from '~/shared/session/today'

/** The fixed date of a plan's lessons; undefined: they differ. A kind without a day yet waits for one. */
const props = defineProps<{ fixed: FixedDate | null | undefined; proposedOn: IsoDay | null }>()
const emit = defineEmits<{ fix: [to: FixedDate | null] }>()
type Kind = FixedDate['kind'] | 'none'
const KINDS = [
  { label: 'no fixed date', value: 'none' },
  { label: 'on', value: 'on' },
  { label: 'not before', value: 'not-before' },
  { label: 'by', value: 'not-after' },
  { label: 'within', value: 'within' },
] satisfies readonly { label: string; value: Kind }[]

const today = useToday()
const overview = useOverview()
const marks = computed(() => marksOf(overview.overview?.years[0]?.year ?? null))
const kind = ref<Kind | undefined>()
watch(
  () => props.fixed,
  (fixed) => {
    kind.value = fixed === undefined ? undefined : (fixed?.kind ?? 'none')
  },
  { immediate: true },
)
const first = computed(() => (props.fixed?.kind === 'within' ? props.fixed.fromOn : props.fixed?.on) ?? null)
const last = computed(() => (props.fixed?.kind === 'within' ? props.fixed.throughOn : null))

function choose(next: Kind): void {
  kind.value = next
  const on = first.value ?? props.proposedOn
  if (next === 'none') emit('fix', null)
  else if (on) put(next, on, last.value ?? on)
}
function put(of: Kind | undefined, on: IsoDay, throughOn: IsoDay): void {
  if (of === undefined || of === 'none') return
  if (of === 'within') emit('fix', { kind: of, fromOn: on, throughOn: throughOn < on ? on : throughOn })
  else emit('fix', { kind: of, on })
}
</script>

<template>
  <USelect
    name="fixed-kind"
    aria-label="How it is fixed"
    class="w-full"
    placeholder="various"
    :items="KINDS"
    :model-value="kind"
    @update:model-value="choose"
  />
  <div v-if="kind && kind !== 'none'" class="grid gap-2">
    <DayField
      :model-value="first"
      name="fixed-on"
      :label="kind === 'within' ? 'From' : 'Date'"
      :today="today"
      :marks="marks"
      @update:model-value="$event && put(kind, $event, last ?? $event)"
    />
    <DayField
      v-if="kind === 'within'"
      :model-value="last"
      name="fixed-through"
      label="Through"
      :today="today"
      :min="first ?? undefined"
      :marks="marks"
      @update:model-value="$event && first && put(kind, first, $event)"
    />
  </div>
</template>
