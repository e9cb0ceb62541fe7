<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import { weekdayOf } from '#core/base'
import type { IsoDay, Weekday } from '#core/base'
import { shifted } from '#core/series'
import type { Series, SeriesRule } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import DayField from '~/shared/fields/DayField.vue'
import RulesSelect from '~/shared/fields/RulesSelect.vue'
import { WEEKDAY_WORDS } from '~/shared/words/times'
import { sayTarget } from '../../words/series'

/** When rows open, for whom, and under which rules. */
const props = defineProps<{ of: ClassSeries; today: IsoDay }>()
const series = defineModel<Series>({ required: true })
const RULES = [
  { value: 'meetings' as const, label: 'By meetings' },
  { value: 'weekly' as const, label: 'By weeks' },
  { value: 'explicit' as const, label: 'By own dates' },
]
const title = ref(series.value.title)
watch(
  () => series.value.title,
  (t) => {
    title.value = t
  },
)
function put(part: Partial<Series>): void {
  series.value = { ...series.value, ...part }
}
const rule = computed(() => series.value.rule)
const from = computed(() => (rule.value.kind === 'explicit' ? props.today : rule.value.from))
function shift(days: number): void {
  series.value = shifted(series.value, days)
}
function choose(kind: SeriesRule['kind'] | null): void {
  if (kind === null || kind === rule.value.kind) return
  const timed = { from: from.value, every: 1, stays: null }
  if (kind === 'explicit') put({ rule: { kind } })
  else if (kind === 'meetings') put({ rule: { kind, ...timed } })
  else put({ rule: { kind, weekday: weekdayOf(from.value), ...timed } })
}
function setRule(part: { from?: IsoDay; every?: number; stays?: number | null; weekday?: Weekday }): void {
  if (rule.value.kind !== 'explicit') put({ rule: { ...rule.value, ...part } as SeriesRule })
}
const numberIn = (event: Event) => (event.target as HTMLInputElement).value.trim()
const weekdays = WEEKDAY_WORDS.map((label, i) => ({ label, value: String(i + 1) }))
const everybody = computed<Target>(() => ({ kind: 'class', classId: props.of.classId }))
const people = computed<readonly Target[]>(() => [
  everybody.value,
  ...props.of.groups.map((g) => ({ kind: 'group' as const, groupId: g.id })),
  ...props.of.learners.map((l) => ({ kind: 'learner' as const, learnerId: l.id })),
])
const peopleItems = computed(() =>
  people.value.map((t) => ({ label: sayTarget(t, props.of), value: keyOf(t) })),
)
const peopleSaid = computed(() => series.value.targets.map((t) => sayTarget(t, props.of)).join(', '))
const chosenPeople = computed(() => series.value.targets.map(keyOf))
function choosePeople(keys: readonly string[]): void {
  const targets = people.value.filter((t) => keys.includes(keyOf(t)))
  // everybody and somebody of it is everybody
  const isAll =
    targets.some((t) => t.kind === 'class') && !series.value.targets.some((t) => t.kind === 'class')
  const some = isAll ? [everybody.value] : targets.filter((t) => targets.length === 1 || t.kind !== 'class')
  if (some.length > 0) put({ targets: some })
}
</script>

<template>
  <fieldset class="grid gap-2" :disabled="!of.mayChange">
    <legend class="sr-only">Series</legend>
    <div class="fields">
      <label
        ><span>Title</span>
        <UInput v-model="title" name="title" class="w-full" @change="title.trim() && put({ title })" />
      </label>
      <label
        ><span>For</span>
        <USelectMenu
          multiple
          value-key="value"
          :items="peopleItems"
          :model-value="chosenPeople"
          :search-input="{ placeholder: 'Group or learner' }"
          :aria-label="`For: ${peopleSaid}`"
          class="w-full"
          @update:model-value="choosePeople"
        />
      </label>
      <label
        ><span>Rules</span>
        <RulesSelect :model-value="series.rules" label="Rules" @update:model-value="put({ rules: $event })" />
      </label>
    </div>
    <div class="fields rule">
      <div class="grow-0">
        <span class="lab">A row opens</span>
        <ChoiceButtons
          label="A row opens"
          :items="RULES"
          :model-value="rule.kind"
          @update:model-value="choose"
        />
      </div>
      <template v-if="rule.kind !== 'explicit'">
        <label
          ><span>{{ rule.kind === 'meetings' ? 'Every … meetings' : 'Every … weeks' }}</span>
          <UInput
            type="number"
            min="1"
            :model-value="rule.every"
            class="w-20"
            name="every"
            @change="setRule({ every: Number(numberIn($event)) })"
          />
        </label>
        <label v-if="rule.kind === 'weekly'"
          ><span>On</span>
          <USelect
            :items="weekdays"
            :model-value="String(rule.weekday)"
            aria-label="Weekday"
            class="w-24"
            @update:model-value="setRule({ weekday: Number($event) as Weekday })"
          />
        </label>
        <div>
          <span class="lab">From</span>
          <DayField
            label="First day"
            :today="today"
            :min="of.firstOn"
            :max="of.days.lastOn"
            :marks="{ meetings: of.days.meetingDays }"
            :model-value="rule.from"
            @change="(on) => on && setRule({ from: on })"
          />
        </div>
        <label
          ><span>Open for … {{ rule.kind === 'meetings' ? 'meetings' : 'days' }}</span>
          <UInput
            type="number"
            min="1"
            :model-value="rule.stays ?? undefined"
            placeholder="until the next"
            class="w-32"
            name="stays"
            @change="setRule({ stays: numberIn($event) === '' ? null : Number(numberIn($event)) })"
          />
        </label>
      </template>
      <div>
        <span class="lab">Shift all</span>
        <div class="flex gap-1">
          <UButton size="xs" variant="outline" color="neutral" @click="shift(-7)">A week earlier</UButton>
          <UButton size="xs" variant="outline" color="neutral" data-hook="shift-later" @click="shift(7)"
            >A week later</UButton
          >
        </div>
      </div>
    </div>
  </fieldset>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: minmax(10rem, 1.4fr) minmax(8rem, 1fr) minmax(8rem, 1fr);
  gap: 0.5rem 0.75rem;
}
.fields.rule {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
}
label,
.lab {
  font-size: var(--text-xs);
}
label > span,
.lab {
  display: block;
  color: var(--ui-text-muted);
  margin-bottom: 0.15rem;
}
@media (max-width: 640px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
