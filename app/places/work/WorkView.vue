<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { Instant } from '#core/base'
import { NEEDS } from '#core/work'
import type { Progress } from '#core/work'
import { ListWork, PublishWork } from '#shared/contracts/work'
import type { WorkInClass, WorkRow } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { STATE_WORDS } from './words/moments'
import { NEED_WORDS } from './words/needs'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'

useHead({ title: 'Work · Step Cairn' })
const overview = useOverview()
const tell = useTell()
const desk = useDesk()
const rows = shallowRef<readonly WorkRow[] | null>(null)
const problem = ref('')
async function load(): Promise<void> {
  const reply = await call(ListWork)
  if (reply.ok) rows.value = reply.value.work
  else problem.value = sayRefusal(reply.error)
}
onMounted(() => Promise.all([load(), overview.load(), desk.load()]))
// whatever is taken back or done again may change the list
watch(
  () => desk.steps,
  () => void load(),
)
const sections = computed(() =>
  NEEDS.map((need) => ({
    need,
    ...NEED_WORDS[need],
    rows: (rows.value ?? []).filter((r) => r.need === need),
  })).filter((s) => s.rows.length > 0),
)
const at = (moment: Instant | null, field: 'opens' | 'due') =>
  moment === null ? '' : sayMoment(moment, overview.zone, field)

const shareOf = (c: Progress) => `${c.learners ? Math.round((100 * c.handedIn) / c.learners) : 0}%`

function stateOf(row: WorkRow, of: WorkInClass | null): string {
  if (!of || row.state !== 'published') return ''
  return of.isGiven ? STATE_WORDS[of.state] : 'not given'
}
async function publish(row: WorkRow): Promise<void> {
  const reply = await call(PublishWork, { params: { assignmentId: row.id }, body: { version: row.version } })
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`Published to ${count(reply.value.learners, 'learner')}`)
  await Promise.all([load(), desk.load(true)])
}
</script>

<template>
  <div class="page">
    <header class="flex items-center gap-3">
      <h1 class="flex-1">Work</h1>
      <UButton to="/shelf" icon="i-lucide-plus" variant="outline">Assign from the shelf</UButton>
    </header>
    <p v-if="problem" class="note-line needs mt-3" role="alert">{{ problem }}</p>
    <p v-else-if="rows && rows.length === 0" class="mt-4">
      No work yet. Choose a lesson on the <NuxtLink class="plain" to="/pace">desk</NuxtLink> or a piece on the
      <NuxtLink class="plain" to="/shelf">shelf</NuxtLink>, and press Assign.
    </p>
    <p v-else-if="!rows" class="said mt-4">Opening …</p>
    <section v-for="s in sections" :key="s.need" class="need" :data-hook="`need-${s.need}`">
      <h2>
        {{ s.word }} <span class="said font-normal">{{ s.about }}</span>
      </h2>
      <!-- the roles stand here, since on a phone rows and cells are laid out as blocks -->
      <table class="grid-table" role="table">
        <thead class="sr-only" role="rowgroup">
          <tr role="row">
            <th scope="col" role="columnheader">Work</th>
            <th scope="col" role="columnheader">Classes</th>
            <th scope="col" role="columnheader">Opens</th>
            <th scope="col" role="columnheader">Due</th>
            <th scope="col" role="columnheader">State</th>
            <th scope="col" role="columnheader">Handed in</th>
            <th scope="col" role="columnheader">Act</th>
          </tr>
        </thead>
        <tbody v-for="row in s.rows" :key="row.id" role="rowgroup">
          <tr
            v-for="(c, i) in row.classes.length ? row.classes : [null]"
            :key="c?.classId ?? 'none'"
            role="row"
            :class="{ first: i === 0 }"
          >
            <th
              v-if="i === 0"
              scope="rowgroup"
              role="rowheader"
              :rowspan="Math.max(1, row.classes.length)"
              class="title"
            >
              <NuxtLink class="plain" :to="`/work/${row.id}`">{{ row.title }}</NuxtLink>
              <p class="said">
                {{ row.pieces > 1 ? count(row.pieces, 'piece') : KIND_WORDS[row.kind] }} ·
                {{ count(row.learners, 'learner') }}
              </p>
            </th>
            <td class="class" role="cell">
              {{ c?.name }} <span v-if="c" class="said">{{ c.learners }}</span>
            </td>
            <td class="when" role="cell" data-moment="opens">{{ c ? at(c.opensAt, 'opens') : '' }}</td>
            <td class="when" role="cell" data-moment="due">
              {{ c ? at(c.dueAt, 'due') || 'no due date' : '' }}
            </td>
            <td class="state" role="cell" :class="c?.state">
              {{ stateOf(row, c) }}
            </td>
            <td class="result" role="cell">
              <template v-if="c && c.isGiven && row.state !== 'held'"
                ><div class="bar" aria-hidden="true"><i :style="{ width: shareOf(c) }" /></div>
                {{ c.handedIn }} of {{ c.learners
                }}<template v-if="c.inProgress">, {{ c.inProgress }} at it</template
                ><template v-if="c.meanRatio !== null"> · mean {{ percent(c.meanRatio) }}</template></template
              >
            </td>
            <td v-if="i === 0" role="cell" :rowspan="Math.max(1, row.classes.length)" class="act">
              <UButton v-if="row.state === 'held'" size="xs" data-hook="publish-row" @click="publish(row)"
                >Publish</UButton
              >
              <UButton
                v-else-if="row.state === 'published'"
                size="xs"
                color="neutral"
                variant="outline"
                :to="{ path: '/evidence', query: { work: row.id } }"
                >Results</UButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.page {
  padding: 1rem 1.25rem 3rem;
  max-width: 80rem;
}
.need {
  margin-top: 1.4rem;
}
.need h2 {
  border-bottom: 2px solid var(--ui-border-accented);
  padding-bottom: 0.3rem;
}
tbody tr:not(.first) td {
  border-top: 0;
}
tbody tr:not(:last-child) td:not([rowspan]) {
  border-bottom-color: var(--ui-border-muted);
}
.title {
  width: 15rem;
  font-weight: 600;
}
.class {
  width: 8.5rem;
  white-space: nowrap;
}
.when {
  width: 12.8rem;
}
.when:not(:empty)::before {
  content: attr(data-moment) ' ';
  color: var(--ui-text-muted);
  font-size: 0.92em;
}
.state {
  width: 6rem;
}
.result {
  width: 13rem;
}
.act {
  width: 6rem;
  text-align: right;
}
.state.open {
  color: var(--ui-success);
  font-weight: 650;
}
.state.late {
  color: var(--ui-error);
  font-weight: 650;
}
.bar {
  height: 0.4rem;
  background: var(--ui-bg-accented);
  border-radius: 3px;
  margin-block: 0.35rem 0.15rem;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--color-moss-500);
  border-radius: 3px;
}
@media (max-width: 720px) {
  table,
  tbody {
    display: block;
    position: relative;
  }
  tbody tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-bottom: 1px solid var(--ui-border-muted);
    padding-block: 0.3rem;
  }
  tbody :is(th, td),
  tbody tr td:not([rowspan]) {
    width: auto;
    border: 0;
    padding: 0.1rem 0;
  }
  .title {
    grid-column: 1 / -1;
    padding-right: 6rem !important;
  }
  .class {
    order: 1;
    font-weight: 600;
  }
  .state {
    order: 2;
  }
  .when {
    order: 3;
  }
  .result {
    order: 4;
    grid-column: 1 / -1;
  }
  .result:empty {
    display: none;
  }
  .act {
    position: absolute;
    top: 0.4rem;
    right: 0;
  }
}
</style>
