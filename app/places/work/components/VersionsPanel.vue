<script setup lang="ts">
import { computed, ref } from 'vue'
import { groupBy } from '#core/base'
import type { PieceId, TrailId, UserId } from '#core/base'
import type { VersionChoice } from '#core/versions'
import type { PieceCard } from '#shared/contracts/library'
import type { Preview, Recipients, WhoGetsWhat } from '#shared/contracts/work'
import { useShelf } from '~/places/shelf'
import FoldButton from '~/shared/frame/FoldButton.vue'
import { count } from '~/shared/words/numbers'
import { withVersion } from '../draft'
import type { DraftInWork } from '../draft'

/** Who gets which version in this work: by their trail, or another for this once; or another task in its place. */
const props = defineProps<{
  preview: Preview
  recipients: Recipients
  pieces: readonly { readonly id: PieceId; readonly title: string }[]
}>()
const draft = defineModel<DraftInWork>({ required: true })
const shelf = useShelf()
const open = ref(false)
const pieceId = ref<PieceId>()
const shownPiece = computed(() => pieceId.value ?? props.pieces[0]?.id)
const rows = computed(() => props.preview.who.filter((w) => w.pieceId === shownPiece.value))
const chosen = ref<ReadonlySet<UserId>>(new Set())
const otherTask = ref<string>()
const nameOf = (id: TrailId) => props.preview.trails.find((t) => t.id === id)?.name ?? ''
const className = (w: WhoGetsWhat) => props.recipients.classes.find((c) => c.id === w.classId)?.name ?? ''
function sayGiven({ version }: WhoGetsWhat): string {
  if (!version) return 'as it is'
  if (version.instead) return shelf.piece(version.instead.resourceId)?.title ?? 'another task'
  return nameOf(version.trailId)
}
const isOwn = (w: WhoGetsWhat) => w.because.some((b) => b.field === 'version')
const hasVersions = computed(() => props.preview.who.some((w) => w.version !== null))
const summary = computed(() =>
  [...groupBy(rows.value, sayGiven)].map(([name, list]) => `${list.length} ${name}`).join(', '),
)
const lesson = computed(() => {
  const of = draft.value.pieces.find((d) => d.id === shownPiece.value)
  return (of && shelf.piece(of.resourceId)?.bookLessonId) ?? null
})
const isNear = (p: PieceCard) => lesson.value !== null && p.bookLessonId === lesson.value
/** Those of the same lesson come first. */
const tasks = computed(() =>
  (shelf.shelf?.pieces ?? [])
    .filter((p) => !draft.value.pieces.some((d) => d.resourceId === p.id))
    .toSorted((a, b) => Number(isNear(b)) - Number(isNear(a)))
    .map((p) => ({ value: p.id as string, label: `${p.code} ${p.title}, grade ${p.grade}` })),
)
const taskLabel = computed(
  () => tasks.value.find((t) => t.value === otherTask.value)?.label ?? 'another task in its place',
)

function toggle(id: UserId): void {
  const next = new Set(chosen.value)
  if (!next.delete(id)) next.add(id)
  chosen.value = next
}
function toggleAll(): void {
  const isAll = chosen.value.size === rows.value.length
  chosen.value = new Set(isAll ? [] : rows.value.map((w) => w.learnerId))
}
function give(choice: VersionChoice | null): void {
  const of = shownPiece.value
  if (!of) return
  let { targets } = draft.value
  for (const id of chosen.value) targets = withVersion(targets, id, of, choice)
  draft.value = { ...draft.value, targets }
  chosen.value = new Set()
}
function giveTask(): void {
  const piece = shelf.shelf?.pieces.find((p) => p.id === otherTask.value)
  if (!piece) return
  give({ kind: 'parallel', resourceId: piece.id, revision: piece.revision })
  otherTask.value = undefined
}
</script>

<template>
  <section v-if="preview.who.length" data-hook="versions-panel">
    <FoldButton v-model="open" class="font-semibold"
      >Versions: {{ hasVersions ? summary : 'everybody gets it as it is' }}</FoldButton
    >
    <div v-if="open" class="grid gap-2 mt-2">
      <div v-if="pieces.length > 1" class="flex flex-wrap gap-1">
        <UButton
          v-for="p in pieces"
          :key="p.id"
          size="xs"
          color="neutral"
          :variant="p.id === shownPiece ? 'solid' : 'outline'"
          :aria-pressed="p.id === shownPiece"
          @click="
            () => {
              pieceId = p.id
            }
          "
          >{{ p.title }}</UButton
        >
      </div>
      <p class="said">
        By default by each learner’s trail. What is chosen here counts for this work only; from now on it is
        set on the class’s
        <NuxtLink
          v-if="rows[0]"
          class="plain"
          :to="{ path: '/classes/trails', query: { class: rows[0].classId } }"
          >trail sheet</NuxtLink
        >.
      </p>
      <div class="flex flex-wrap gap-1 items-center" role="group" aria-label="Give to those that are ticked">
        <span class="said">{{
          chosen.size ? count(chosen.size, 'learner gets', 'learners get') : 'Tick learners to give them'
        }}</span>
        <UButton
          v-for="t in preview.trails"
          :key="t.id"
          size="xs"
          color="neutral"
          variant="outline"
          :disabled="chosen.size === 0"
          :data-hook="`give-${t.id}`"
          @click="give({ kind: 'trail', trailId: t.id })"
          >{{ t.name }}</UButton
        >
        <USelectMenu
          v-model="otherTask"
          size="xs"
          value-key="value"
          :items="tasks"
          virtualize
          class="w-64"
          placeholder="another task in its place"
          :aria-label="`${taskLabel}: what to give in its place`"
          data-hook="other-task"
        />
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          :disabled="chosen.size === 0 || !otherTask"
          data-hook="give-task"
          @click="giveTask"
          >Give that task</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          :disabled="chosen.size === 0"
          data-hook="give-by-trail"
          @click="give(null)"
          >By their trail again</UButton
        >
      </div>
      <div class="list" tabindex="0" role="region" aria-label="Learners and their versions">
        <table class="grid-table">
          <thead>
            <tr>
              <th scope="col" class="tick">
                <UCheckbox
                  :model-value="chosen.size > 0 && chosen.size === rows.length"
                  aria-label="All learners"
                  @update:model-value="toggleAll"
                />
              </th>
              <th scope="col">Learner</th>
              <th scope="col">Class</th>
              <th scope="col">Gets</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="w in rows" :key="w.learnerId" data-hook="version-row">
              <td>
                <UCheckbox
                  :model-value="chosen.has(w.learnerId)"
                  :aria-label="w.name"
                  @update:model-value="toggle(w.learnerId)"
                />
              </td>
              <th scope="row" class="font-semibold">{{ w.name }}</th>
              <td>{{ className(w) }}</td>
              <td>{{ sayGiven(w) }} <span v-if="isOwn(w)" class="said">for this work only</span></td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </section>
</template>

<style scoped>
.list {
  max-height: 22rem;
  overflow: auto;
}
.tick {
  width: 2rem;
}
</style>
