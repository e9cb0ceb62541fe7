<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay } from '#core/base'
import type { Placing } from '#shared/contracts/placing'
import { count } from '~/shared/words/numbers'
import { sayDay, sayMoment } from '~/shared/words/times'
import { byCell } from '../../desk/placedCells'

/** The record on paper: who has what from which day. */
const props = defineProps<{ of: Placing; from: IsoDay; through: IsoDay }>()
const cells = computed(() => byCell(props.of))
const rows = computed(() =>
  props.of.days.flatMap((d) => {
    const cellsOf = props.of.columns.map((c) => cells.value.get(`${d.on} ${c.key}`) ?? [])
    return cellsOf.some((list) => list.length > 0) ? [{ on: d.on, cells: cellsOf }] : []
  }),
)
</script>

<template>
  <article class="record" data-hook="place-record">
    <header>
      <h2>Who has what from which day</h2>
      <span>{{ sayDay(from) }} to {{ sayDay(through) }} · as of {{ sayMoment(of.now, of.zone) }}</span>
    </header>
    <table>
      <thead>
        <tr>
          <th scope="col" class="day">From</th>
          <th v-for="c in of.columns" :key="c.key" scope="col">
            {{ c.name }} <span class="few">{{ count(c.learners, 'learner') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.on">
          <th scope="row" class="day">{{ sayDay(r.on) }}</th>
          <td v-for="(list, i) in r.cells" :key="i">
            <p v-for="c in list" :key="`${c.stone.assignmentId} ${c.at.whose}`">
              {{ c.stone.title }}
              <span class="few"
                >{{ c.stone.minutes }} min<template v-if="c.at.throughOn"
                  >, to {{ sayDay(c.at.throughOn) }}</template
                ><template v-if="c.at.whose">, only {{ c.at.whose }}</template
                ><template v-if="c.stone.state === 'held'">, held: not yet seen</template></span
              >
            </p>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0">Nothing lies in this time.</p>
  </article>
</template>

<style scoped>
.record {
  display: none;
}
@media print {
  .record {
    display: block;
    color: #16201e;
    font-size: 8pt;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    border-bottom: 2px solid #16201e;
  }
  h2 {
    color: #16201e;
    font-size: 13pt;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.8mm 1.2mm;
    border-bottom: 1px solid #b9b3a6;
    font-weight: 400;
  }
  td {
    border-left: 1px solid #dcd7cc;
  }
  thead {
    display: table-header-group;
  }
  thead th,
  .day {
    font-weight: 650;
  }
  .day {
    width: 19mm;
  }
  tr,
  p {
    break-inside: avoid;
  }
  .few {
    color: #4a463c;
    font-weight: 400;
  }
}
</style>
