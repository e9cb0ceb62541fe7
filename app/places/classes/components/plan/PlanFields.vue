<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay, UnitId } from '#core/base'
import { LENGTH_LIMITS, LENGTH_UNITS, LESSON_KINDS, WEIGHTS } from '#core/pacing'
import type { FixedDate, LessonLength, Plan, PlanLesson } from '#core/pacing'
import PlanFixed from './PlanFixed.vue'

/** The fields of one lesson, or those that several have in common. */
const props = defineProps<{
  plan: Plan
  lessons: readonly PlanLesson[]
  /** Where the lesson lies now in a class that follows the plan; null when none does. */
  proposedOn: IsoDay | null
}>()
const emit = defineEmits<{
  set: [part: Partial<PlanLesson>]
  remove: []
  step: [by: 1 | -1]
  renameUnit: [id: UnitId, title: string]
}>()

const one = computed(() => (props.lessons.length === 1 ? (props.lessons[0] ?? null) : null))
/** The value all chosen lessons share; undefined when they differ. */
function shared<T>(of: (l: PlanLesson) => T): T | undefined {
  const [first, ...rest] = props.lessons.map(of)
  return rest.every((v) => JSON.stringify(v) === JSON.stringify(first)) ? first : undefined
}
const length = computed(() => shared((l) => l.length))
const unit = computed(() => length.value?.unit ?? 'meetings')
const step = computed(() => (unit.value === 'minutes' ? 5 : 0.5))
const KINDS = LESSON_KINDS.map((value) => ({ value, label: value === 'buffer' ? 'catch-up' : value }))
const unitItems = computed(() =>
  props.plan.units.map((u) => ({ value: u.id, label: `${u.number} ${u.title}` })),
)
const FRESH: Record<LessonLength['unit'], LessonLength> = {
  meetings: { unit: 'meetings', min: 0.5, typical: 1, max: 2 },
  minutes: { unit: 'minutes', min: 20, typical: 45, max: 90 },
}

function setLength(part: Partial<LessonLength>): void {
  const now = length.value ?? FRESH.meetings
  if (part.unit && part.unit !== now.unit) return emit('set', { length: FRESH[part.unit] })
  const next = { ...now, ...part }
  const { typical } = part
  if (typical === undefined) return emit('set', { length: next })
  // a usual length pushes the least and the most out of its way
  emit('set', { length: { ...next, min: Math.min(next.min, typical), max: Math.max(next.max, typical) } })
}
const setFixed = (fixed: FixedDate | null) => emit('set', { fixed })
const LENGTHS = [
  { label: 'Least', name: 'least', part: 'min' },
  { label: 'Usual', name: 'usual', part: 'typical' },
  { label: 'Most', name: 'most', part: 'max' },
] as const
const text = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <div class="grid gap-4" data-hook="plan-fields">
    <h2>{{ one ? `${one.number} ${one.title}`.trim() : `${lessons.length} lessons` }}</h2>
    <template v-if="one">
      <UFormField label="Number"
        ><UInput
          name="lesson-number"
          maxlength="12"
          :model-value="one.number"
          @change="emit('set', { number: text($event) })"
      /></UFormField>
      <UFormField label="Title"
        ><UInput
          name="lesson-title"
          maxlength="120"
          :model-value="one.title"
          @change="text($event) && emit('set', { title: text($event) })"
      /></UFormField>
    </template>
    <div class="grid grid-cols-2 gap-3">
      <UFormField label="Kind"
        ><USelect
          name="lesson-kind"
          class="w-full"
          placeholder="various"
          :items="KINDS"
          :model-value="shared((l) => l.kind)"
          @update:model-value="emit('set', { kind: $event })"
      /></UFormField>
      <UFormField label="Weight"
        ><USelect
          name="lesson-weight"
          class="w-full"
          placeholder="various"
          :items="[...WEIGHTS]"
          :model-value="shared((l) => l.weight)"
          @update:model-value="emit('set', { weight: $event })"
      /></UFormField>
    </div>
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold">Length<template v-if="!length">, various</template></legend>
      <div class="grid grid-cols-3 gap-2">
        <UFormField v-for="f in LENGTHS" :key="f.name" :label="f.label"
          ><UInput
            type="number"
            :name="f.name"
            :step="step"
            :min="LENGTH_LIMITS[unit].least"
            :max="LENGTH_LIMITS[unit].most"
            :model-value="length?.[f.part]"
            @change="setLength({ [f.part]: Number(text($event)) })"
        /></UFormField>
      </div>
      <USelect
        name="length-unit"
        aria-label="Counted in"
        class="w-full"
        :items="[...LENGTH_UNITS]"
        :model-value="unit"
        @update:model-value="setLength({ unit: $event })"
      />
    </fieldset>
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold">
        Fixed date<template v-if="shared((l) => l.fixed) === undefined">, various</template>
      </legend>
      <PlanFixed :fixed="shared((l) => l.fixed)" :proposed-on="proposedOn" @fix="setFixed" />
      <UCheckbox
        name="not-after-break"
        label="Not right after a break"
        :model-value="shared((l) => l.notAfterBreak) ?? 'indeterminate'"
        @update:model-value="emit('set', { notAfterBreak: $event === true })"
      />
    </fieldset>
    <UFormField label="Unit"
      ><USelect
        name="lesson-unit"
        class="w-full"
        placeholder="various"
        :items="unitItems"
        :model-value="shared((l) => l.unitId)"
        @update:model-value="emit('set', { unitId: $event })"
    /></UFormField>
    <UFormField v-if="one" label="Name of its unit"
      ><UInput
        name="unit-title"
        maxlength="120"
        :model-value="plan.units.find((u) => u.id === one?.unitId)?.title"
        @change="one && text($event) && emit('renameUnit', one.unitId, text($event))"
    /></UFormField>
    <div class="flex flex-wrap gap-1.5">
      <UButton size="xs" color="neutral" variant="outline" icon="i-lucide-arrow-up" @click="emit('step', -1)"
        >Earlier</UButton
      ><UButton
        size="xs"
        color="neutral"
        variant="outline"
        icon="i-lucide-arrow-down"
        @click="emit('step', 1)"
        >Later</UButton
      ><UButton size="xs" color="error" variant="outline" data-hook="remove-lessons" @click="emit('remove')"
        >Take out</UButton
      >
    </div>
  </div>
</template>
