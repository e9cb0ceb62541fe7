<script setup lang="ts">
import type { SchoolYear } from '#core/calendar'
import type { Plan, PlanPart } from '#core/pacing'

/** Parts of a plan, each laid out on its own in one term of the year. */
const props = defineProps<{ plan: Plan; year: SchoolYear | null }>()
const emit = defineEmits<{ change: [plan: Plan] }>()
const terms = () => props.year?.terms ?? []

function setParts(parts: readonly PlanPart[]): void {
  const known = new Set(parts.map((p) => p.id))
  emit('change', {
    ...props.plan,
    parts,
    units: props.plan.units.map((u) => (u.partId && !known.has(u.partId) ? { ...u, partId: null } : u)),
  })
}
function add(): void {
  const term = (props.plan.parts[props.plan.parts.length - 1]?.term ?? 0) + 1
  const part = { id: crypto.randomUUID(), title: terms()[term - 1]?.name ?? `Part ${term}`, term }
  // the first part takes every unit, so that nothing is left between parts
  emit('change', {
    ...props.plan,
    parts: [...props.plan.parts, part],
    units:
      props.plan.parts.length === 0
        ? props.plan.units.map((u) => ({ ...u, partId: part.id }))
        : props.plan.units,
  })
}
/** A part begins with a unit: it takes that one and all later ones. */
function begin(part: PlanPart, unitId: string): void {
  const at = props.plan.units.findIndex((u) => u.id === unitId)
  if (at >= 0)
    emit('change', {
      ...props.plan,
      units: props.plan.units.map((u, i) => (i >= at ? { ...u, partId: part.id } : u)),
    })
}
const patch = (part: PlanPart, change: Partial<PlanPart>) =>
  setParts(props.plan.parts.map((x) => (x.id === part.id ? { ...x, ...change } : x)))
function rename(part: PlanPart, event: Event): void {
  const title = (event.target as HTMLInputElement).value.trim()
  if (title) patch(part, { title })
}
const termItems = (part: PlanPart) =>
  Array.from({ length: Math.max(terms().length, part.term) }, (_, i) => ({
    value: i + 1,
    label: terms()[i]?.name ?? `term ${i + 1}`,
  }))
</script>

<template>
  <section class="grid gap-2 text-sm" aria-label="Parts" data-hook="plan-parts">
    <h2>Parts</h2>
    <p class="said">
      A part is laid out on its own, in one term: what does not fit there is not pushed into the next.
    </p>
    <div v-for="(p, i) in plan.parts" :key="p.id" class="grid gap-1.5 border-b border-muted pb-2">
      <UInput
        maxlength="60"
        aria-label="Name of the part"
        :model-value="p.title"
        @change="rename(p, $event)"
      />
      <div class="grid grid-cols-2 gap-2">
        <USelect
          class="w-full"
          aria-label="Term"
          :items="termItems(p)"
          :model-value="p.term"
          @update:model-value="patch(p, { term: $event })"
        />
        <USelect
          class="w-full"
          aria-label="Begins with"
          placeholder="begins with …"
          :items="plan.units.map((u) => ({ value: u.id, label: `${u.number} ${u.title}` }))"
          :model-value="plan.units.find((u) => u.partId === p.id)?.id"
          @update:model-value="begin(p, $event)"
        />
      </div>
      <UButton
        v-if="i === plan.parts.length - 1"
        size="xs"
        color="neutral"
        variant="ghost"
        class="justify-self-start"
        @click="setParts(plan.parts.slice(0, -1))"
        >Take this part away</UButton
      >
    </div>
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      class="justify-self-start"
      data-hook="add-part"
      :disabled="plan.parts.length >= Math.max(1, terms().length)"
      @click="add"
      >Add a part</UButton
    >
  </section>
</template>
