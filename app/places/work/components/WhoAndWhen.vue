<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { Instant, IsoDay, LessonId } from '#core/base'
import { same } from '#core/base'
import { fromPublishing, scaleFor, withWindow } from '#core/availability'
import type { Moment, Overrides, WindowField, WindowSpec } from '#core/availability'
import type { AssignmentTarget } from '#core/work'
import type { Preview, Recipients } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'
import { FIELD_WORDS } from '~/shared/words/refusals'
import { withLimits, withMoment } from '../draft'
import type { DraftInWork, OwnLimits } from '../draft'
import { useWhoRows } from '../composables/whoRows'
import { AT_ONCE, hungOn } from '../starting'
import type { LessonChoice } from '../lessonsOffered'
import ExceptedLearners from './ExceptedLearners.vue'
import MomentCell from './MomentCell.vue'
import RecipientPicker from './RecipientPicker.vue'
import WhoOffers from './WhoOffers.vue'
import WhoRow from './WhoRow.vue'

const props = defineProps<{
  recipients: Recipients
  preview: Preview | null
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  zone: string
  now: Instant
  /** Why the learners for whom it was begun were chosen, such as "below 60 %"; '' where nothing is said. */
  because: string
  /** Only rows of the asker's own classes may be changed. */
  isPart: boolean
}>()
const emit = defineEmits<{ reload: [] }>()
const draft = defineModel<DraftInWork>({ required: true })
const more = ref(draft.value.window.listed !== null || draft.value.window.putAway !== null)
const fields = computed<readonly WindowField[]>(() =>
  more.value ? ['listed', 'opens', 'due', 'closes', 'putAway'] : ['opens', 'due', 'closes'],
)

const { rows, isApart, isShared, isOwn } = useWhoRows(draft, {
  recipients: () => props.recipients,
  preview: () => props.preview,
  because: () => props.because,
})
const lessonNumber = computed(() => props.lessons.find((l) => l.value === props.start)?.number ?? '')
const isAtOnce = computed(() => same(draft.value.window, AT_ONCE))
function setWindow(window: WindowSpec): void {
  draft.value = { ...draft.value, window }
}

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
/** The places of a row's targets. */
type At = readonly number[]
function paste(at: At): void {
  const window = copied.value
  if (window) change(at, (own) => withWindow(own, window))
}
const setLimits = (at: At, limits: OwnLimits) => changeTargets(at, (t) => withLimits(t, limits))
const change = (at: At, to: (own: Overrides) => Overrides) =>
  changeTargets(at, (t) => ({ ...t, overrides: to(t.overrides) }))
function changeTargets(at: At, to: (t: AssignmentTarget) => AssignmentTarget): void {
  draft.value = { ...draft.value, targets: draft.value.targets.map((t, i) => (at.includes(i) ? to(t) : t)) }
}

function setBase(field: WindowField, moment: Moment | null | undefined): void {
  draft.value = { ...draft.value, window: { ...draft.value.window, [field]: moment ?? null } }
}
const setOwn = (at: At, field: WindowField, moment: Moment | null | undefined) =>
  change(at, (own) => withMoment(own, field, moment))
const section = useTemplateRef<HTMLElement>('section')
/** Whoever got a row of their own just now has other dates or limits: these come next. */
function goToRow(key: string): void {
  section.value?.querySelector<HTMLElement>(`[data-row="${CSS.escape(key)}"] button`)?.focus()
}
function remove(at: At): void {
  draft.value = { ...draft.value, targets: draft.value.targets.filter((_, i) => !at.includes(i)) }
}
</script>

<template>
  <section ref="section" aria-labelledby="who">
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
              <UButton
                v-if="!isAtOnce"
                class="px-0"
                size="xs"
                variant="link"
                data-hook="at-once"
                @click="setWindow(AT_ONCE)"
                >At once, no due date</UButton
              >
              <UButton
                v-else-if="start && lessonNumber"
                class="px-0"
                size="xs"
                variant="link"
                data-hook="with-lesson"
                @click="setWindow(hungOn(start))"
                >With lesson {{ lessonNumber }}</UButton
              >
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
            v-for="r in rows"
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
            :rules="draft.rules"
            @set="(field, moment) => setOwn(r.at, field, moment)"
            @limits="(limits) => setLimits(r.at, limits)"
            @copy="copied = r.overrides.window ?? {}"
            @paste="paste(r.at)"
            @remove="remove(r.at)"
          />
          <tr v-if="rows.length === 0">
            <td :colspan="fields.length + 2" class="said">
              Nobody yet: choose a class here, or groups and learners above.
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <WhoOffers
      v-if="!isPart"
      v-model="draft"
      :recipients="recipients"
      :start="start"
      :is-shared="isShared"
      @picked="goToRow"
      @apart="
        () => {
          isApart = true
        }
      "
    />
    <ExceptedLearners v-model="draft" :recipients="recipients" />
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
  /* what is only said, not shown, stays within */
  position: relative;
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
