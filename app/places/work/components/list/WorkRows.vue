<script setup lang="ts">
import { shallowRef } from 'vue'
import type { AssignmentId, Instant } from '#core/base'
import { fromPublishing } from '#core/availability'
import type { Scale } from '#core/availability'
import type { Progress } from '#core/work'
import type { WorkInClass, WorkRow } from '#shared/contracts/work'
import WindowLine from '~/shared/charts/WindowLine.vue'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayMoment } from '~/shared/words/times'
import { STATE_WORDS } from '~/shared/words/moments'

/** Work with its classes, each with its window, how far it is, and what can be done. */
const props = defineProps<{
  rows: readonly WorkRow[]
  chosen: ReadonlySet<string>
  zone: string
  scale: Scale
  now: Instant
}>()
const emit = defineEmits<{
  publish: [row: WorkRow]
  choose: [id: AssignmentId, isOn: boolean, event: MouseEvent | null]
}>()
const at = (moment: Instant | null, field: 'opens' | 'due') =>
  moment === null ? '' : sayMoment(moment, props.zone, field)
const shareOf = (c: Progress) => `${c.learners ? Math.round((100 * c.handedIn) / c.learners) : 0}%`

function stateOf(row: WorkRow, of: WorkInClass | null): string {
  if (!of || row.state !== 'published') return ''
  if (!of.isGiven) return 'not given'
  // with what is only recommended nobody is late
  return STATE_WORDS[row.isRecommended && of.state === 'late' ? 'open' : of.state]
}
// with Shift held, all between two ticks are meant
const clicked = shallowRef<MouseEvent | null>(null)
</script>

<template>
  <!-- the roles stand here, since on a phone rows and cells are laid out as blocks -->
  <table class="grid-table" role="table">
    <thead role="rowgroup">
      <tr role="row">
        <th scope="col" role="columnheader">Work</th>
        <th scope="col" role="columnheader">Class</th>
        <th scope="col" role="columnheader">Opens</th>
        <th scope="col" role="columnheader">Due</th>
        <th scope="col" role="columnheader">A week back, four ahead</th>
        <th scope="col" role="columnheader">State</th>
        <th scope="col" role="columnheader">Handed in</th>
        <th scope="col" role="columnheader"><span class="sr-only">Act</span></th>
      </tr>
    </thead>
    <tbody v-for="row in rows" :key="row.id" role="rowgroup" :class="{ chosen: chosen.has(row.id) }">
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
          <div class="flex gap-2 items-start">
            <UCheckbox
              class="mt-0.5"
              data-hook="choose-row"
              :model-value="chosen.has(row.id)"
              :aria-label="`Choose ${row.title}`"
              @click.capture="clicked = $event"
              @update:model-value="emit('choose', row.id, $event === true, clicked)"
            />
            <div class="min-w-0">
              <NuxtLink class="plain" :to="`/work/${row.id}`">{{ row.title }}</NuxtLink>
              <p class="said">
                {{ row.pieces > 1 ? count(row.pieces, 'piece') : KIND_WORDS[row.kind] }} ·
                {{ count(row.learners, 'learner') }}{{ row.isRecommended ? ' · recommended' : '' }}
              </p>
            </div>
          </div>
        </th>
        <td class="class" role="cell">
          {{ c?.name }} <span v-if="c" class="said">{{ c.learners }}</span>
        </td>
        <td class="when" role="cell" data-moment="opens">{{ c ? at(c.window.opens, 'opens') : '' }}</td>
        <td class="when" role="cell" data-moment="due">
          {{ c ? at(c.window.due, 'due') || 'no due date' : '' }}
          <p v-if="c?.isStuck && row.state === 'published'" class="stuck">
            Its lesson is not in the plan any more: these dates stay
          </p>
        </td>
        <td class="window" role="cell">
          <WindowLine
            v-if="c"
            :window="fromPublishing(c.window, row.publishedAt ?? now)"
            :scale="scale"
            :at="now"
          />
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
          <UButton v-if="row.state === 'held'" size="xs" data-hook="publish-row" @click="emit('publish', row)"
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
</template>

<style scoped>
.stuck {
  white-space: normal;
  font-size: 0.85em;
  color: var(--ui-warning);
}
tbody.chosen {
  background: color-mix(in oklab, var(--ui-primary) 7%, transparent);
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
  width: 11rem;
  white-space: nowrap;
}
.window {
  width: 11rem;
}
.state {
  width: 6rem;
}
.result {
  width: 11rem;
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
thead th {
  font-size: var(--text-xs);
  font-weight: 500;
  color: var(--ui-text-muted);
  padding-block: 0.15rem;
}
@media (max-width: 720px) {
  .when:not(:empty)::before {
    content: attr(data-moment) ' ';
    color: var(--ui-text-muted);
    font-size: 0.92em;
  }
  thead {
    position: absolute;
    clip-path: inset(50%);
    width: 1px;
    height: 1px;
    overflow: hidden;
  }
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
  .window {
    display: none;
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
