<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Instant, IsoDay, LessonId, UserId } from '#core/base'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import { fromPublishing, scaleFor, withWindow } from '#core/availability'
import type { Moment, Overrides, WindowField, WindowSpec } from '#core/availability'
import type { AssignmentTarget } from '#core/work'
import type { Preview, Recipients } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'
import { FIELD_WORDS } from '~/shared/words/refusals'
import { limitsOf, withLimits, withMoment } from '../draft'
import type { DraftInWork, OwnLimits } from '../draft'
import { windowOfTarget } from '../whoGetsWhat'
import type { LessonChoice } from './MomentEditor.vue'
import MomentCell from './MomentCell.vue'
import RecipientPicker from './RecipientPicker.vue'
import WhoRow from './WhoRow.vue'

const props = defineProps<{
  recipients: Recipients
  preview: Preview | null
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  zone: string
  now: Instant
  /** Only rows of the asker's own classes may be changed. */
  isPart: boolean
}>()
const emit = defineEmits<{ reload: [] }>()
const draft = defineModel<DraftInWork>({ required: true })
const more = ref(draft.value.window.listed !== null || draft.value.window.putAway !== null)
const fields = computed<readonly WindowField[]>(() =>
  more.value ? ['listed', 'opens', 'due', 'closes', 'putAway'] : ['opens', 'due', 'closes'],
)

const nameOf = (t: Target) => {
  if (t.kind === 'class') return props.recipients.classes.find((c) => c.id === t.classId)?.name ?? 'a class'
  if (t.kind === 'learner')
    return (
      props.recipients.classes.flatMap((c) => c.learners).find((l) => l.id === t.learnerId)?.name ??
      'a learner'
    )
  const group = props.recipients.groups.find((g) => g.id === t.groupId)
  return group
    ? `${group.name}, ${props.recipients.classes.find((c) => c.id === group.classId)?.name ?? ''}`
    : 'a group'
}
/** Recipients are the asker's own classes, with their groups and learners. */
function isOwn(t: Target): boolean {
  const { classes, groups } = props.recipients
  if (t.kind === 'class') return classes.some((c) => c.id === t.classId)
  if (t.kind === 'group') return groups.some((g) => g.id === t.groupId)
  return classes.some((c) => c.learners.some((l) => l.id === t.learnerId))
}
const rows = computed(() =>
  draft.value.targets.map((t, i) => {
    const of = t.target.kind === 'class' ? t.target.classId : null
    const seen = of === null ? null : (props.preview?.classes.find((c) => c.classId === of) ?? null)
    return {
      key: keyOf(t.target),
      target: t.target,
      name: nameOf(t.target),
      overrides: t.overrides,
      own: limitsOf(t),
      learners: props.preview?.targetCounts[i] ?? null,
      seen,
      window: seen ? seen.window : windowOfTarget(t.target, props.preview, props.recipients),
    }
  }),
)
/** When what has no opening opens. */
const from = computed(() => props.preview?.from ?? props.now)
/** One scale for all lines, so that classes can be compared at a glance. */
const scale = computed(() =>
  scaleFor(
    rows.value
      .flatMap((r) => [r.window ?? [], r.seen?.pieces.flatMap((p) => p.window ?? []) ?? []].flat())
      .map((window) => fromPublishing(window, from.value)),
    props.now,
  ),
)
/** How the window comes out, where there is one class only. */
const alike = computed(() => {
  const [only, ...others] = props.preview?.classes ?? []
  return others.length === 0 ? (only?.window ?? null) : null
})
/** A row's own moments, to be put into others. */
const copied = ref<Partial<WindowSpec> | null>(null)
function paste(at: number): void {
  const window = copied.value
  if (window) change(at, (own) => withWindow(own, window))
}
const setLimits = (at: number, limits: OwnLimits) => changeTarget(at, (t) => withLimits(t, limits))
const change = (at: number, to: (own: Overrides) => Overrides) =>
  changeTarget(at, (t) => ({ ...t, overrides: to(t.overrides) }))
function changeTarget(at: number, to: (t: AssignmentTarget) => AssignmentTarget): void {
  draft.value = { ...draft.value, targets: draft.value.targets.map((t, i) => (i === at ? to(t) : t)) }
}

function setBase(field: WindowField, moment: Moment | null | undefined): void {
  draft.value = { ...draft.value, window: { ...draft.value.window, [field]: moment ?? null } }
}
const setOwn = (at: number, field: WindowField, moment: Moment | null | undefined) =>
  change(at, (own) => withMoment(own, field, moment))
const excepted = computed(() => {
  const people = new Map(props.recipients.classes.flatMap((c) => c.learners.map((l) => [l.id, l])))
  return draft.value.exceptIds.map((id) => people.get(id) ?? { id, name: 'a learner of another class' })
})
function takeIn(id: UserId): void {
  draft.value = { ...draft.value, exceptIds: draft.value.exceptIds.filter((e) => e !== id) }
}
function remove(at: number): void {
  draft.value = { ...draft.value, targets: draft.value.targets.filter((_, i) => i !== at) }
}
</script>

<template>
  <section aria-labelledby="who">
    <div class="flex flex-wrap items-center gap-2 mb-2">
      <h2 id="who" class="flex-1">
        Who and when
        <span v-if="preview" class="said font-normal" role="status" data-hook="head-count">{{
          count(preview.learners, 'learner')
        }}</span>
      </h2>
      <RecipientPicker v-model="draft" :recipients="recipients" @reload="emit('reload')" />
    </div>
    <div class="scroller">
      <table class="grid-table">
        <thead>
          <tr>
            <th scope="col">Who</th>
            <th v-for="f in fields" :key="f" scope="col">{{ FIELD_WORDS[f] }}</th>
            <th scope="col"><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr class="base" :inert="isPart">
            <th scope="row">
              Everyone
              <p class="said font-normal">unless a row below differs</p>
            </th>
            <td v-for="f in fields" :key="f">
              <MomentCell
                :model-value="draft.window[f]"
                :field="f"
                who="Everyone"
                :lessons="lessons"
                :start="start"
                :today="today"
                :zone="zone"
                :class-id="preview?.classes[0]?.classId ?? null"
                :window="draft.window"
                :comes-out="alike"
                :now="now"
                @update:model-value="setBase(f, $event)"
              />
            </td>
            <td />
          </tr>
          <WhoRow
            v-for="(r, i) in rows"
            :key="r.key"
            :of="r"
            :fields="fields"
            :lessons="lessons"
            :start="start"
            :today="today"
            :zone="zone"
            :base="draft.window"
            :inert="isPart && !isOwn(r.target)"
            :scale="scale"
            :from="from"
            :now="now"
            :copied="copied"
            :help="draft.rules.help"
            @set="(field, moment) => setOwn(i, field, moment)"
            @limits="(limits) => setLimits(i, limits)"
            @copy="copied = r.overrides.window ?? {}"
            @paste="paste(i)"
            @remove="remove(i)"
          />
          <tr v-if="rows.length === 0">
            <td :colspan="fields.length + 2" class="said">
              Nobody yet. Add classes, groups or single learners.
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="excepted.length" class="mt-2 flex flex-wrap gap-1.5 items-center" data-hook="excepted">
      <span class="said">Everyone but</span>
      <UButton
        v-for="l in excepted"
        :key="l.id"
        size="xs"
        color="neutral"
        variant="outline"
        trailing-icon="i-lucide-x"
        :aria-label="`${l.name}, excepted: take in again`"
        @click="takeIn(l.id)"
        >{{ l.name }}</UButton
      >
    </p>
    <UCheckbox
      v-if="rows.some((r) => r.target.kind === 'class')"
      v-model="draft.newcomers"
      class="mt-2"
      :disabled="isPart"
      label="Who joins a class later gets it, too"
      data-hook="newcomers"
    />
    <UButton
      class="mt-2"
      size="xs"
      color="neutral"
      variant="ghost"
      @click="
        () => {
          more = !more
        }
      "
      >{{ more ? 'Fewer moments' : 'Also: when it is listed and put away' }}</UButton
    >
  </section>
</template>

<style scoped>
.scroller {
  overflow-x: auto;
  scroll-padding-inline: 6rem;
}
.grid-table th[scope='row'] {
  min-width: 8.5rem;
  max-width: 13rem;
  font-weight: 600;
}
.grid-table td {
  min-width: 7.6rem;
  padding-inline: 0.25rem;
}
.grid-table td:last-child {
  min-width: 0;
}
.base {
  background: var(--ui-bg-muted);
}
</style>
