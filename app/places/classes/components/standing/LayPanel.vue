<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { ClassId, StandingId } from '#core/base'
import { PreviewLay } from '#shared/contracts/standing'
import type { LayPreview, StandingOfPlan, WouldBe } from '#shared/contracts/standing'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'

/** What would go out when, in which class, before it is laid: all of a plan's standing work, or some units of it. */
const props = defineProps<{ of: StandingOfPlan; busy: boolean }>()
const emit = defineEmits<{
  close: []
  lay: [input: { classes: { classId: ClassId; standingIds: StandingId[] }[]; publish: boolean }]
}>()
const mine = computed(() => props.of.classes.filter((c) => c.mayChange))
const classIds = ref<ClassId[]>(mine.value.map((c) => c.id))
const unit = ref<string>('all')
const publish = ref<'published' | 'held'>('published')
const shown = shallowRef<LayPreview | null>(null)
const problem = ref('')
const isAllShown = ref(false)
watch(
  () => [classIds.value, props.of.standing] as const,
  async ([ids]) => {
    shown.value = ids.length === 0 ? null : shown.value
    if (ids.length === 0) return
    const reply = await call(PreviewLay, { params: { planId: props.of.plan.id }, body: { classIds: ids } })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) shown.value = reply.value
  },
  { immediate: true },
)
const { parts } = props.of.plan
const units = computed(() => [
  { value: 'all', label: 'The whole plan' },
  ...parts.map((p) => ({ value: `part ${p.id}`, label: p.title })),
  ...props.of.plan.units.map((u) => ({ value: u.id as string, label: `${u.number} ${u.title}` })),
])
const unitOf = computed(() => new Map(props.of.plan.lessons.map((l) => [l.id, l.unitId])))
const isAsked = (lessonId: StandingOfPlan['standing'][number]['piece']['lessonId']) => {
  const id = unitOf.value.get(lessonId)
  if (unit.value === 'all' || unit.value === id) return true
  const part = props.of.plan.units.find((u) => u.id === id)?.partId
  return unit.value === `part ${part}`
}
const asked = computed(() => props.of.standing.filter((s) => isAsked(s.piece.lessonId)))
const lessonOf = computed(() => new Map(props.of.plan.lessons.map((l) => [l.id, l.number])))
const goesTo = (row: WouldBe | null) => row !== null && !row.isThere && !row.isOver && !row.isWithoutPlace
/** Each piece class by class; it goes to those where it has a place, is not over and not there already. */
const perPiece = computed(() =>
  asked.value.map((s) => {
    const cells = (shown.value?.classes ?? []).map((of) => {
      const row = of.rows.find((r) => r.standingId === s.id) ?? null
      return { of, row, goes: goesTo(row) }
    })
    const goes = cells.filter((c) => c.goes).length
    return { s, cells, goes, isWithoutPlace: cells.some((c) => c.row?.isWithoutPlace) }
  }),
)
const goingOut = computed(() => perPiece.value.filter((p) => p.goes > 0))
const without = computed(() => perPiece.value.filter((p) => p.isWithoutPlace).length)
const leftOut = computed(() => perPiece.value.length - goingOut.value.length)
const works = computed(() => goingOut.value.reduce((n, p) => n + p.goes, 0))
function lay(): void {
  const classes = (shown.value?.classes ?? []).flatMap(({ classId }) => {
    const goes = goingOut.value.filter((p) => p.cells.some((c) => c.of.classId === classId && c.goes))
    return goes.length === 0 ? [] : [{ classId, standingIds: goes.map((p) => p.s.id) }]
  })
  emit('lay', { classes, publish: publish.value === 'published' })
}
const STATES = [
  { value: 'published' as const, label: 'Published: goes out by itself' },
  { value: 'held' as const, label: 'Held: you publish each' },
]
</script>

<template>
  <section class="panel" aria-label="Lay on classes" data-hook="lay-panel">
    <div class="flex items-start gap-3 flex-wrap">
      <h2 class="flex-1">Lay on classes</h2>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        aria-label="Close"
        @click="emit('close')"
      />
    </div>
    <div class="choices">
      <UCheckboxGroup
        v-model="classIds"
        legend="Classes"
        orientation="horizontal"
        :items="mine.map((c) => ({ value: c.id, label: `${c.name} (${c.learners})` }))"
      />
      <label
        ><span class="lab">What</span>
        <USelect
          v-model="unit"
          size="sm"
          :items="units"
          aria-label="What is laid"
          data-hook="lay-what"
          class="w-64"
        />
      </label>
      <div>
        <span class="lab">How</span>
        <ChoiceButtons v-model="publish" label="How" :items="STATES" />
      </div>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <template v-else-if="shown">
      <p data-hook="lay-sentence">
        {{ count(goingOut.length, 'piece') }}, {{ works }} in all in
        {{ count(classIds.length, 'class', 'classes') }}.
        <template v-if="leftOut"> {{ leftOut }} more are over, there already, or have no place.</template>
        <template v-if="without">
          {{ count(without, 'piece has', 'pieces have') }} no place in one of the classes.</template
        >
      </p>
      <UCheckbox v-if="leftOut" v-model="isAllShown" label="Show what is left out, too" />
      <div class="rows" tabindex="0" role="region" aria-label="What goes out when">
        <table class="grid-table">
          <thead>
            <tr>
              <th>Lesson</th>
              <th>Piece</th>
              <th v-for="c in shown.classes" :key="c.classId">
                {{ c.name }}, {{ count(c.learners, 'learner') }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in isAllShown ? perPiece : goingOut" :key="p.s.id" :class="{ out: p.goes === 0 }">
              <td class="code">{{ lessonOf.get(p.s.piece.lessonId) }}</td>
              <td>{{ p.s.piece.title }}</td>
              <td v-for="c in p.cells" :key="c.of.classId">
                <span v-if="!c.row || c.row.isWithoutPlace" class="said">no place</span>
                <span v-else-if="c.row.isThere" class="said">has it</span>
                <template v-else-if="c.row.window"
                  ><template v-if="c.row.window.opens">{{
                    sayMoment(c.row.window.opens, c.of.zone, 'opens')
                  }}</template
                  ><span v-if="c.row.window.due" class="said">
                    due {{ sayMoment(c.row.window.due, c.of.zone, 'due')
                    }}{{ c.row.isOver ? ', over' : '' }}</span
                  ><span v-if="c.row.hadIn !== null" class="said had" data-hook="had-in">
                    has the piece already, in “{{ c.row.hadIn }}”</span
                  ></template
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <div class="flex gap-2">
      <UButton :disabled="works === 0 || busy" :loading="busy" data-hook="lay-work" @click="lay"
        >{{ publish === 'held' ? 'Lay and hold' : 'Lay and publish' }} {{ works }}</UButton
      >
      <UButton color="neutral" variant="ghost" @click="emit('close')">Leave it</UButton>
    </div>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 0.75rem;
  padding: 0.9rem 1rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 9px 7px 10px 8px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.5rem;
  align-items: start;
}
.lab {
  display: block;
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  margin-bottom: 0.2rem;
}
.rows {
  max-height: 21rem;
  overflow: auto;
}
.out td {
  color: var(--ui-text-muted);
}
.had {
  display: block;
  color: var(--ui-warning);
}
</style>
