<script setup lang="ts">
import { computed } from 'vue'
import type { Instant, IsoDay, LessonId } from '#core/base'
import type { AttemptRules } from '#core/attempts'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import { fromPublishing } from '#core/availability'
import type { Moment, Overrides, Scale, Window, WindowField, WindowSpec } from '#core/availability'
import type { ClassPreview } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import WindowLine from '~/shared/charts/WindowLine.vue'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import type { OwnLimits } from '../draft'
import { saySpan } from '~/shared/words/moments'
import type { LessonChoice } from '../lessonsOffered'
import LimitsCell from './LimitsCell.vue'
import MomentCell from './MomentCell.vue'

/** A class, group or learner with what is other for them, and beneath it their window against the days to come. */
const props = defineProps<{
  of: {
    readonly target: Target
    readonly name: string
    /** Of learners who share the row. */
    readonly names: readonly string[]
    readonly overrides: Overrides
    readonly own: OwnLimits
    readonly learners: number | null
    readonly seen: ClassPreview | null
    /** What comes of it: of a class, of a learner, of a group whose learners all have the same. */
    readonly window: Window | null
  }
  fields: readonly WindowField[]
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  zone: string
  inert: boolean
  /** What everyone has. */
  base: WindowSpec
  scale: Scale
  /** When what has no opening opens. */
  from: Instant
  now: Instant
  copied: Partial<WindowSpec> | null
  /** What holds for everybody. */
  rules: AttemptRules
}>()
defineEmits<{
  set: [field: WindowField, moment: Moment | null | undefined]
  limits: [limits: OwnLimits]
  copy: []
  paste: []
  remove: []
}>()
const desk = useDesk()
const seen = computed(() => props.of.seen)
const lessonName = (id: string) => props.lessons.find((l) => l.value === id)?.label ?? 'this lesson'
const isBad = (f: WindowField) => {
  const problem = seen.value?.problem
  return problem !== null && problem !== undefined && 'field' in problem && problem.field === f
}
/** The first few of them, and how many more. */
function sayNames(names: readonly string[]): string {
  const more = names.length - MOST_NAMES
  return sayList(more > 0 ? [...names.slice(0, MOST_NAMES), `${more} more`] : names)
}
const MOST_NAMES = 3
/** The lines of the row: its window, and those of pieces with moments of their own. */
const lines = computed(() =>
  [props.of.window, ...(seen.value?.pieces.map((p) => p.window) ?? [])]
    .filter((w) => w !== null)
    .map((w) => fromPublishing(w, props.from)),
)
const meetings = computed(
  () => desk.columns.find((c) => c.of.id === seen.value?.classId)?.calendar.meetings ?? [],
)
</script>

<template>
  <tr :data-hook="`target-${of.target.kind}`" :data-row="keyOf(of.target)" :inert="inert" class="lined">
    <th scope="row">
      {{ of.name }}
      <p class="said font-normal">
        <template v-if="of.names.length">{{ sayNames(of.names) }}</template>
        <template v-else-if="of.learners !== null">{{ count(of.learners, 'learner') }}</template><template
          v-if="seen?.span && seen.window?.due"
        >
          · <span :class="{ tight: seen.span.tight }">{{ saySpan(seen.span) }}</span></template
        >
      </p>
      <p v-if="seen?.problem" class="problem">{{ sayRefusal(seen.problem, { lesson: lessonName }) }}</p>
    </th>
    <td v-for="f in fields" :key="f">
      <MomentCell
        :model-value="of.overrides.window?.[f]"
        inherits
        :field="f"
        :who="of.name"
        :lessons="lessons"
        :start="start"
        :today="today"
        :zone="zone"
        :resolved="of.window ? of.window[f] : undefined"
        :bad="isBad(f)"
        :class-id="seen?.classId ?? null"
        :window="{ ...base, ...of.overrides.window }"
        :comes-out="of.window"
        :now="now"
        @update:model-value="$emit('set', f, $event)"
      />
    </td>
    <td class="acts">
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take ${of.name} off`"
        @click="$emit('remove')"
      />
    </td>
  </tr>
  <tr class="line" :inert="inert">
    <td :colspan="fields.length + 2">
      <div class="flex gap-2 items-center">
        <div class="flex-1 min-w-0">
          <WindowLine
            v-for="(w, i) in lines"
            :key="i"
            :window="w"
            :scale="scale"
            :at="now"
            :meetings="meetings"
          />
        </div>
        <div class="beside">
          <LimitsCell :who="of.name" :own="of.own" :rules="rules" @set="$emit('limits', $event)" />
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            :aria-label="`Copy dates of ${of.name}`"
            data-hook="copy-dates"
            @click="$emit('copy')"
            >Copy dates</UButton
          >
          <UButton
            v-if="copied"
            size="xs"
            color="neutral"
            variant="outline"
            :aria-label="`Paste them into ${of.name}`"
            data-hook="paste-dates"
            @click="$emit('paste')"
            >Paste</UButton
          >
        </div>
      </div>
    </td>
  </tr>
</template>

<style scoped>
/* as wide in all rows, so that the lines keep one scale */
.beside {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  width: 15rem;
}
th[scope='row'] {
  min-width: 8.5rem;
  max-width: 13rem;
  font-weight: 600;
}
td {
  min-width: 7.6rem;
  padding-inline: 0.25rem;
}
.acts {
  min-width: 0;
}
.lined > * {
  border-bottom: 0;
}
.line > td {
  padding: 0 0.25rem 0.35rem 0.6rem;
}
.tight {
  color: var(--ui-warning);
  font-weight: 650;
}
.problem {
  color: var(--ui-error);
  font-weight: 400;
  font-size: var(--text-xs);
}
</style>
