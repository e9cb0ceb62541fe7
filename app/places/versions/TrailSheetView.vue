<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, nextTick, onMounted } from 'vue'
import type { ClassId, TrailId } from '#core/base'
import type { TrailRow } from '#shared/contracts/versions'
import { useTell } from '~/shared/frame/tell'
import { count } from '~/shared/words/numbers'
import SupportFigure from './components/SupportFigure.vue'
import TrailPath from './components/TrailPath.vue'
import TrailNames from './components/TrailNames.vue'
import { useTrailSteps } from './composables/trailSteps'
import type { Shown } from './rowsShown'
import { REASON_WORDS } from './words/parts'

/** Who works with how much support next: each learner's path, what the scores suggest, and the step that is set. */
const classId = String(useRoute().query.class ?? '') as ClassId
const tell = useTell()
const { sheet, problem, shown, rows, steps, load, nextOf, set, move, takeAll, forget, keep, setUsual } =
  useTrailSteps(classId)
onMounted(load)
useHead({ title: computed(() => `Trails of ${sheet.value?.name ?? 'a class'}`) })
const nameOf = (id: TrailId) => sheet.value?.trails.find((t) => t.id === id)?.name ?? ''
const trailItems = computed(
  () => sheet.value?.trails.map((t) => ({ value: t.id as string, label: t.name })) ?? [],
)
const suggested = computed(() => sheet.value?.rows.filter((r) => r.next.step !== 'stay').length ?? 0)
const stuck = computed(() => sheet.value?.rows.filter((r) => r.next.stuck !== null).length ?? 0)
const filters = computed(() => [
  { value: 'all', label: 'Everybody' },
  { value: 'suggested', label: `With a suggestion (${suggested.value})` },
  { value: 'stuck', label: `To be looked at (${stuck.value})` },
  { value: 'low', label: `Last score below ${sheet.value?.thresholds.moreBelow} %` },
  { value: 'high', label: `Last score from ${sheet.value?.thresholds.lessFrom} %` },
  ...(sheet.value?.groups.map((g) => ({ value: `group ${g.id}`, label: g.name })) ?? []),
])
function sayNext({ next }: TrailRow): string {
  const scores = next.percents.map((p) => `${p} %`).join(', ')
  const reason = `${scores}${scores ? ' ' : ''}${REASON_WORDS[next.reason]}`
  if (next.step === 'stay') return reason
  return `${reason}: ${next.step} support`
}
function sayStep(row: TrailRow): string {
  const was = steps.value.has(row.learnerId) ? `, was ${nameOf(row.trailId)}` : ''
  return `${row.name}: ${nameOf(nextOf(row))}${was}`
}
/** Left for more support, right for less, Enter for what is suggested, up and down from learner to learner. */
function onKey(event: KeyboardEvent, row: TrailRow): void {
  const line = (event.currentTarget as HTMLElement).closest('tr')
  const goTo = (to: Element | null | undefined) => to?.querySelector<HTMLElement>('[data-step]')?.focus()
  const acts: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => move(row, 1),
    ArrowRight: () => move(row, -1),
    ArrowDown: () => goTo(line?.nextElementSibling),
    ArrowUp: () => goTo(line?.previousElementSibling),
    Enter: () => {
      if (row.next.step !== 'stay') set(row, row.next.to)
    },
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  act()
}
async function save(): Promise<void> {
  const moved = steps.value.size
  const reply = await keep()
  if (reply === null) return
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`${count(moved, 'learner')} moved. Work that they have not begun follows.`)
  await nextTick()
  document.querySelector<HTMLElement>('[data-step]')?.focus()
}
async function chooseUsual(to: string): Promise<void> {
  const reply = await setUsual(to as TrailId)
  if (reply && !reply.ok) tell.refused(reply.error)
}
</script>

<template>
  <p v-if="problem" class="note-line needs m-5" role="alert">{{ problem }}</p>
  <div v-else-if="sheet" class="page">
    <header class="flex flex-wrap gap-3 items-end">
      <div class="flex-1">
        <p class="said">
          <NuxtLink class="plain" :to="`/classes/${sheet.classId}`">{{ sheet.name }}</NuxtLink>
        </p>
        <h1>Trails</h1>
      </div>
      <label class="said grid"
        >Version for who has no trail yet
        <USelect
          size="sm"
          class="w-36"
          :model-value="sheet.usual ?? undefined"
          :items="trailItems"
          aria-label="Version for who has no trail yet"
          @update:model-value="chooseUsual(String($event))"
        />
      </label>
      <TrailNames @changed="load" />
    </header>
    <div class="flex flex-wrap gap-2 items-center">
      <USelect
        size="sm"
        class="w-60"
        :model-value="shown"
        :items="filters"
        aria-label="Which learners"
        data-hook="which-learners"
        @update:model-value="
          (v) => {
            shown = v as Shown
          }
        "
      />
      <UButton
        size="sm"
        color="neutral"
        variant="outline"
        :disabled="!rows.some((r) => r.next.step !== 'stay')"
        data-hook="take-all"
        @click="takeAll"
        >Take these suggestions</UButton
      >
      <p class="said">
        ← more support · → less · Enter takes the suggestion · ↑ ↓ next learner. Nothing changes before it is
        kept.
      </p>
    </div>
    <div class="wide">
      <table class="grid-table" data-hook="trail-sheet">
        <thead>
          <tr>
            <th scope="col">Learner</th>
            <th scope="col">
              Their last pieces, from {{ sheet.trails.at(-1)?.name }} (below) to
              {{ sheet.trails[0]?.name }} (above)
            </th>
            <th scope="col">What the scores say</th>
            <th scope="col">Next</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.learnerId" :class="{ set: steps.has(row.learnerId) }">
            <th scope="row">{{ row.name }}</th>
            <td class="paths">
              <TrailPath
                :points="row.points"
                :trails="sheet.trails"
                :next="nextOf(row)"
                :is-stuck="row.next.stuck !== null"
              />
            </td>
            <td>
              <p :class="{ 'font-semibold': row.next.step !== 'stay' }">{{ sayNext(row) }}</p>
              <p v-if="row.next.stuck" class="stuck">
                {{ row.next.stuck.length }} pieces running with the most support: look at it together
              </p>
            </td>
            <td>
              <button
                type="button"
                class="step"
                data-step
                :aria-label="sayStep(row)"
                @keydown="onKey($event, row)"
                @click="set(row, row.next.step === 'stay' ? row.trailId : row.next.to)"
              >
                {{ nameOf(nextOf(row)) }}
                <span v-if="steps.has(row.learnerId)" class="said">was {{ nameOf(row.trailId) }}</span>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="rows.length === 0" class="said">Nobody here.</p>
    <div v-if="steps.size" class="foot" data-hook="steps-foot">
      <UButton data-hook="keep-steps" @click="save"
        >Keep for {{ count(steps.size, 'learner') }}, from now on</UButton
      >
      <UButton color="neutral" variant="ghost" @click="forget">Forget these steps</UButton>
    </div>
    <SupportFigure :sheet="sheet" />
  </div>
  <p v-else class="said p-5">Opening …</p>
</template>

<style scoped>
.page {
  padding: 1.1rem 1.25rem 3rem;
  display: grid;
  gap: 0.9rem;
  grid-template-columns: minmax(0, 1fr);
}
.wide {
  overflow-x: auto;
}
tbody :is(th, td) {
  vertical-align: middle;
}
th[scope='row'] {
  white-space: nowrap;
  font-weight: 600;
}
.paths {
  min-width: 28rem;
}
.set {
  background: color-mix(in oklab, var(--ui-primary) 8%, transparent);
}
.stuck {
  color: var(--ui-error);
  font-weight: 600;
}
.step {
  min-width: 8rem;
  padding: 0.35rem 0.7rem;
  text-align: left;
  border: 1px solid var(--ui-border-accented);
  border-radius: 0.45rem;
  background: var(--stone-face);
  cursor: pointer;
}
.foot {
  position: sticky;
  bottom: 0;
  display: flex;
  gap: 0.5rem;
  padding: 0.6rem 0;
  background: var(--ui-bg);
  border-top: 1px solid var(--ui-border);
}
</style>
