<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay, UnitId } from '#core/base'
import { LENGTH_UNITS, LESSON_KINDS, WEIGHTS } from '#core/pacing'
import type { FixedDate, LessonLength, Plan, PlanLesson } from '#core/pacing'

/** The fields of one lesson, or those that several have in common. */
const props = defineProps<{ plan: Plan; lessons: readonly PlanLesson[] }>()
const emit = defineEmits<{
  set: [part: Partial<PlanLesson>]
  remove: []
  step: [by: 1 | -1]
  renameUnit: [id: UnitId, title: string]
}>()
const FIXES = [
  { label: 'no fixed date', value: 'none' },
  { label: 'on', value: 'on' },
  { label: 'not before', value: 'not-before' },
  { label: 'by', value: 'not-after' },
  { label: 'within', value: 'within' },
] as const
const one = computed(() => (props.lessons.length === 1 ? (props.lessons[0] ?? null) : null))
/** The value all chosen lessons share; undefined when they differ. */
function shared<T>(of: (l: PlanLesson) => T): T | undefined {
  const [first, ...rest] = props.lessons.map(of)
  return rest.every((v) => JSON.stringify(v) === JSON.stringify(first)) ? first : undefined
}
const length = computed(() => shared((l) => l.length))
const fixed = computed(() => shared((l) => l.fixed))
const step = computed(() => (length.value?.unit === 'minutes' ? 5 : 0.5))

function setLength(part: Partial<LessonLength>): void {
  const now = length.value ?? { unit: 'meetings' as const, min: 0.5, typical: 1, max: 2 }
  if (part.unit && part.unit !== now.unit)
    return emit('set', {
      length:
        part.unit === 'minutes'
          ? { unit: 'minutes', min: 20, typical: 45, max: 90 }
          : { unit: 'meetings', min: 0.5, typical: 1, max: 2 },
    })
  const next = { ...now, ...part }
  // a usual length pushes the least and the most out of its way
  emit('set', {
    length:
      part.typical === undefined
        ? next
        : { ...next, min: Math.min(next.min, part.typical), max: Math.max(next.max, part.typical) },
  })
}
function setFix(kind: string): void {
  const now = fixed.value
  const on = (now?.kind === 'within' ? now.fromOn : now?.on) ?? ('2026-01-01' as IsoDay)
  emit('set', {
    fixed:
      kind === 'none'
        ? null
        : kind === 'within'
          ? { kind: 'within', fromOn: on, throughOn: on }
          : ({ kind, on } as FixedDate),
  })
}
const number = (event: Event) => Number((event.target as HTMLInputElement).value)
const text = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <div class="grid gap-4" data-hook="plan-fields">
    <h2>{{ one ? `${one.number} ${one.title}`.trim() : `${lessons.length} lessons` }}</h2>
    <template v-if="one">
      <label class="f"
        >Number<input
          class="field"
          name="lesson-number"
          maxlength="12"
          :value="one.number"
          @change="emit('set', { number: text($event).trim() })"
      /></label>
      <label class="f"
        >Title<input
          class="field"
          name="lesson-title"
          maxlength="120"
          :value="one.title"
          @change="text($event).trim() && emit('set', { title: text($event).trim() })"
      /></label>
    </template>
    <div class="grid grid-cols-2 gap-3">
      <label class="f"
        >Kind<select
          class="field"
          name="lesson-kind"
          :value="shared((l) => l.kind) ?? ''"
          @change="emit('set', { kind: text($event) as never })"
        >
          <option v-if="!shared((l) => l.kind)" value="" disabled>various</option>
          <option v-for="k in LESSON_KINDS" :key="k" :value="k">{{ k === 'buffer' ? 'catch-up' : k }}</option>
        </select></label
      >
      <label class="f"
        >Weight<select
          class="field"
          name="lesson-weight"
          :value="shared((l) => l.weight) ?? ''"
          @change="emit('set', { weight: text($event) as never })"
        >
          <option v-if="!shared((l) => l.weight)" value="" disabled>various</option>
          <option v-for="w in WEIGHTS" :key="w" :value="w">{{ w }}</option>
        </select></label
      >
    </div>
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold">Length<template v-if="!length">, various</template></legend>
      <div class="grid grid-cols-[1fr_1fr_1fr_1.7fr] gap-2 items-end">
        <label class="f"
          >Least<input
            class="field"
            type="number"
            name="least"
            :step="step"
            :min="step"
            :value="length?.min"
            @change="setLength({ min: number($event) })"
        /></label>
        <label class="f"
          >Usual<input
            class="field"
            type="number"
            name="usual"
            :step="step"
            :min="step"
            :value="length?.typical"
            @change="setLength({ typical: number($event) })"
        /></label>
        <label class="f"
          >Most<input
            class="field"
            type="number"
            name="most"
            :step="step"
            :min="step"
            :value="length?.max"
            @change="setLength({ max: number($event) })"
        /></label>
        <label class="f"
          ><span class="sr-only">Counted in</span
          ><select
            class="field"
            name="length-unit"
            :value="length?.unit ?? 'meetings'"
            @change="setLength({ unit: text($event) as never })"
          >
            <option v-for="u in LENGTH_UNITS" :key="u" :value="u">{{ u }}</option>
          </select></label
        >
      </div>
    </fieldset>
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold">
        Fixed date<template v-if="fixed === undefined">, various</template>
      </legend>
      <select
        class="field"
        name="fixed-kind"
        aria-label="How it is fixed"
        :value="fixed === undefined ? '' : (fixed?.kind ?? 'none')"
        @change="setFix(text($event))"
      >
        <option v-if="fixed === undefined" value="" disabled>various</option>
        <option v-for="k in FIXES" :key="k.value" :value="k.value">{{ k.label }}</option>
      </select>
      <input
        v-if="fixed && fixed.kind !== 'within'"
        class="field"
        type="date"
        name="fixed-on"
        aria-label="Date"
        :value="fixed.on"
        @change="text($event) && emit('set', { fixed: { ...fixed, on: text($event) as IsoDay } })"
      />
      <div v-else-if="fixed" class="grid grid-cols-2 gap-2">
        <input
          class="field"
          type="date"
          aria-label="From"
          :value="fixed.fromOn"
          @change="text($event) && emit('set', { fixed: { ...fixed, fromOn: text($event) as IsoDay } })"
        /><input
          class="field"
          type="date"
          aria-label="Through"
          :value="fixed.throughOn"
          @change="text($event) && emit('set', { fixed: { ...fixed, throughOn: text($event) as IsoDay } })"
        />
      </div>
      <label class="flex gap-2 text-sm"
        ><input
          type="checkbox"
          class="accent-(--ui-primary)"
          name="not-after-break"
          :checked="shared((l) => l.notAfterBreak) ?? false"
          @change="emit('set', { notAfterBreak: ($event.target as HTMLInputElement).checked })"
        />
        Not right after a break</label
      >
    </fieldset>
    <label class="f"
      >Unit<select
        class="field"
        name="lesson-unit"
        :value="shared((l) => l.unitId) ?? ''"
        @change="emit('set', { unitId: text($event) as UnitId })"
      >
        <option v-if="!shared((l) => l.unitId)" value="" disabled>various</option>
        <option v-for="u in plan.units" :key="u.id" :value="u.id">{{ u.number }} {{ u.title }}</option>
      </select></label
    >
    <label v-if="one" class="f"
      >Name of its unit<input
        class="field"
        name="unit-title"
        maxlength="120"
        :value="plan.units.find((u) => u.id === one?.unitId)?.title"
        @change="one && text($event).trim() && emit('renameUnit', one.unitId, text($event).trim())"
    /></label>
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

<style scoped>
.f {
  display: grid;
  gap: 0.15rem;
  font-size: 0.82rem;
  color: var(--ui-text-muted);
}
.field {
  border: 1px solid var(--ui-border-accented);
  border-radius: var(--ui-radius);
  background: var(--ui-bg);
  color: var(--ui-text);
  padding: 0.25rem 0.4rem;
  font-size: 0.9rem;
  width: 100%;
  min-width: 0;
}
</style>
