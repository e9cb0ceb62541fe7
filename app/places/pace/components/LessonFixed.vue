<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { IsoDay, LessonId } from '#core/base'
import { fixedOf } from '#core/pacing'
import type { FixedDate } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { sayFixed } from '../words/steps'
import { sayFinding } from '../words/ways'

const props = defineProps<{ column: DeskColumn; lessonId: LessonId }>()
const emit = defineEmits<{ fix: [to: FixedDate | 'free' | null] }>()
const KINDS = [
  { label: 'on', value: 'on' },
  { label: 'not before', value: 'not-before' },
  { label: 'by', value: 'not-after' },
] as const
const lesson = computed(() => props.column.lessons.get(props.lessonId))
const own = computed(() => props.column.of.pacing.fixed[props.lessonId] ?? null)
const fixed = computed(() => (lesson.value ? fixedOf(lesson.value, props.column.of.pacing) : null))
const findings = computed(
  () => props.column.layout?.findings.filter((f) => f.lessonId === props.lessonId) ?? [],
)
const kind = ref<'on' | 'not-before' | 'not-after'>('on')
const on = ref('')
watch(
  () => [props.lessonId, props.column.of.id, fixed.value],
  () => {
    const extent = props.column.extents.get(props.lessonId)
    kind.value = fixed.value && fixed.value.kind !== 'within' ? fixed.value.kind : 'on'
    on.value = fixed.value
      ? fixed.value.kind === 'within'
        ? fixed.value.fromOn
        : fixed.value.on
      : extent
        ? (props.column.calendar.meetings[extent.first]?.on ?? '')
        : ''
  },
  { immediate: true },
)
</script>

<template>
  <section aria-label="Fixed date" data-hook="lesson-fixed">
    <h3>Fixed date</h3>
    <p class="text-sm">
      {{
        fixed
          ? `${sayFixed(fixed).replace(/^./, (c) => c.toUpperCase())}${own ? ', in this class' : ', as in the plan'}.`
          : own === 'free'
            ? 'Free in this class; the plan has a date.'
            : 'None: it lies where the lessons before it end.'
      }}
    </p>
    <p v-for="f in findings" :key="f.code" class="note-line care mt-1">{{ sayFinding(f) }}</p>
    <form
      v-if="column.of.mayChange"
      class="flex flex-wrap items-center gap-1.5 mt-1"
      @submit.prevent="on && emit('fix', { kind, on: on as IsoDay })"
    >
      <select v-model="kind" class="field" aria-label="How it is fixed">
        <option v-for="k in KINDS" :key="k.value" :value="k.value">{{ k.label }}</option>
      </select>
      <input
        v-model="on"
        type="date"
        class="field"
        aria-label="Date"
        :min="column.year?.firstOn"
        :max="column.year?.lastOn"
        required
      />
      <UButton type="submit" size="xs" color="neutral" variant="outline" data-hook="fix">Fix</UButton>
      <UButton
        v-if="fixed"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="unfix"
        @click="emit('fix', own ? null : 'free')"
        >{{ own ? 'As in the plan' : 'Free it here' }}</UButton
      >
    </form>
  </section>
</template>

<style scoped>
.field {
  border: 1px solid var(--ui-border-accented);
  border-radius: var(--ui-radius);
  background: var(--ui-bg);
  color: var(--ui-text);
  padding: 0.15rem 0.35rem;
  font-size: 0.85rem;
}
</style>
