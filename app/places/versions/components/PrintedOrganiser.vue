<script setup lang="ts">
import { computed } from 'vue'
import { cellsOf, tableRows } from '#core/versions'
import type { Organiser } from '#core/versions'
import { sayCell } from '~/shared/words/organisers'

/** An organiser on paper, to be written on. */
const props = defineProps<{ organiser: Organiser }>()
const cells = computed(() => cellsOf(props.organiser))
const rows = computed(() => tableRows(props.organiser))
</script>

<template>
  <div class="plan">
    <table v-if="organiser.kind === 'table'">
      <thead>
        <tr>
          <td />
          <th v-for="c in organiser.columns" :key="c" scope="col">{{ c }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.row">
          <th scope="row">{{ r.row }}</th>
          <td v-for="cell in r.cells" :key="cell.id" class="cell">{{ cell.given }}</td>
        </tr>
      </tbody>
    </table>
    <template v-else>
      <p v-if="organiser.kind === 'web'" class="centre">{{ organiser.centre }}</p>
      <div class="boxes" :class="organiser.kind">
        <div v-for="cell in cells" :key="cell.id" class="cell">
          <span class="said">{{ sayCell(cell.of) }}</span> {{ cell.given }}
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.plan {
  margin: 0.8rem 0;
  break-inside: avoid;
}
.plan table {
  width: 100%;
  border-collapse: collapse;
}
.plan :is(th, td) {
  border: 1px solid #777;
  padding: 0.3rem 0.5rem;
  text-align: left;
}
.cell {
  height: 4.2rem;
  vertical-align: top;
}
.boxes {
  display: grid;
  gap: 0.5rem;
  grid-template-columns: 1fr 1fr;
}
.boxes.time-line,
.boxes.claim {
  grid-template-columns: 1fr;
}
.boxes .cell {
  border: 1px solid #777;
  padding: 0.3rem 0.5rem;
}
.centre {
  text-align: center;
  font-weight: 650;
  margin-bottom: 0.5rem;
}
</style>
