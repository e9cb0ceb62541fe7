<script setup lang="ts">
import { useHead } from '#imports'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import type { ClassId } from '#core/base'
import { sheetWeeks } from './desk/sheet'
import { useDesk } from './stores/desk'
import { useAddress } from '~/shared/frame/address'
import { sayDate, sayDay, WEEKDAY_WORDS } from '~/shared/words/times'
import { weekdayOf } from '#core/base'

const isNarrow = useMediaQuery('(max-width: 900px)')
const desk = useDesk()
const address = useAddress()
onMounted(() => desk.load())
const PAPERS = [
  { label: 'A4', value: 'A4' },
  { label: 'Letter', value: 'letter' },
]
const paper = ref(address.text('paper') === 'letter' ? 'letter' : 'A4')
const classId = ref<ClassId | 'all'>(address.id<ClassId>('class') ?? 'all')
const termAt = ref(Number(address.text('term') ?? 0))
const withWork = ref(address.text('work') !== 'no')
const forLearners = ref(address.text('copy') === 'learners')

const terms = computed(() =>
  desk.year?.terms.length
    ? desk.year.terms
    : desk.year
      ? [{ name: desk.year.name, firstOn: desk.year.firstOn, lastOn: desk.year.lastOn }]
      : [],
)
const term = computed(() => terms.value[termAt.value] ?? terms.value[0] ?? null)
const columns = computed(() =>
  desk.columns.filter((c) => c.plan && (classId.value === 'all' || c.of.id === classId.value)),
)
const weeks = computed(() =>
  term.value
    ? sheetWeeks(columns.value, term.value, {
        work: desk.work,
        zone: desk.zone,
        withWork: withWork.value,
        forLearners: forLearners.value,
      })
    : [],
)
const classes = computed(() => [
  { label: 'All classes', value: 'all' },
  ...desk.columns.filter((c) => c.plan).map((c) => ({ label: c.of.name, value: c.of.id as string })),
])
// one class reads well upright; several need the width
const landscape = computed(() => columns.value.length > 1)
useHead({
  title: 'Term sheet',
  style: [
    {
      key: 'page',
      innerHTML: computed(
        () =>
          `@page { size: ${paper.value} ${landscape.value ? 'landscape' : 'portrait'}; margin: 11mm 10mm 12mm }`,
      ),
    },
  ],
})
const print = () => window.print()
</script>

<template>
  <div class="sheet-page">
    <header class="controls" data-print="hide">
      <div class="flex-1">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Term sheet</h1>
      </div>
      <USelect v-model="classId" :items="classes" aria-label="Class" data-hook="sheet-class" />
      <USelect
        v-model="termAt"
        :items="terms.map((t, i) => ({ label: t.name, value: i }))"
        aria-label="Term"
        data-hook="sheet-term"
      />
      <USelect v-model="paper" :items="PAPERS" aria-label="Paper" data-hook="sheet-paper" />
      <UCheckbox v-model="withWork" label="Work due" data-hook="sheet-work" />
      <UCheckbox v-model="forLearners" label="Learners' copy" data-hook="sheet-learners" />
      <UButton icon="i-lucide-printer" data-hook="print" @click="print">Print</UButton>
    </header>
    <p v-if="desk.loaded && columns.length === 0" class="said p-5">
      No class has a plan yet. <NuxtLink class="plain" to="/classes/plans">Lay one out</NuxtLink> first.
    </p>
    <article
      v-else-if="term"
      class="paper"
      :class="{ many: columns.length > 1 }"
      :style="{ '--columns': columns.length }"
      :tabindex="isNarrow ? 0 : undefined"
      aria-label="Term sheet"
      data-hook="sheet"
    >
      <div class="title">
        <h2>{{ columns.length === 1 ? columns[0]?.of.name : desk.year?.name }} · {{ term.name }}</h2>
        <span
          >{{ sayDay(term.firstOn) }} to {{ sayDay(term.lastOn)
          }}{{ forLearners ? '' : ' · teacher’s copy' }}</span
        >
      </div>
      <table>
        <thead>
          <tr>
            <th scope="col" class="week">Week</th>
            <th v-for="c in columns" :key="c.of.id" scope="col">
              {{ columns.length === 1 ? 'Meetings' : c.of.name }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in weeks" :key="w.mondayOn">
            <th scope="row" class="week">
              {{ sayDate(w.mondayOn) }}<span v-for="n in w.closures" :key="n" class="closure">{{ n }}</span>
            </th>
            <td v-for="(cell, i) in w.cells" :key="i">
              <div v-for="(l, n) in cell" :key="n" class="line" :class="l.kind">
                <span class="day">{{ WEEKDAY_WORDS[weekdayOf(l.on) - 1] }}</span><span>{{ l.text }}</span>
              </div>
            </td>
          </tr>
        </tbody>
      </table>
    </article>
  </div>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  align-items: center;
  padding: 0.75rem 1.25rem;
  border-bottom: 1px solid var(--ui-border);
}
.paper {
  margin: 1.25rem auto;
  padding: 1.5rem;
  max-width: 60rem;
  background: #fff;
  color: #16201e;
  box-shadow: 0 1px 4px rgb(0 0 0 / 0.2);
}
.paper.many {
  max-width: 78rem;
}
/* on a small screen the sheet keeps its columns and is moved sideways */
@media screen and (max-width: 900px) {
  .paper {
    padding: 1rem;
    overflow-x: auto;
  }
  .paper table {
    min-width: calc(6rem + var(--columns) * 9rem);
  }
}
.title {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 1rem;
  border-bottom: 2px solid #16201e;
  padding-bottom: 0.25rem;
  font-size: var(--text-xs);
}
.title h2 {
  color: #16201e;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  font-size: var(--text-xs);
  line-height: 1.28;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 0.2rem 0.4rem;
  border-bottom: 1px solid #b9b3a6;
  font-weight: 400;
}
thead th {
  font-weight: 650;
}
td {
  border-left: 1px solid #dcd7cc;
}
.week {
  width: 5.4rem;
  font-weight: 600;
  white-space: nowrap;
}
.closure {
  display: block;
  font-weight: 400;
  font-size: var(--text-xs);
  white-space: normal;
  color: #5a5447;
}
tr {
  break-inside: avoid;
}
thead {
  display: table-header-group;
}
.line {
  display: grid;
  grid-template-columns: 2.1rem 1fr;
}
.line .day {
  color: #5a5447;
}
.line.due {
  font-style: italic;
}
.line.lost,
.line.free {
  color: #5a5447;
}
@media print {
  .sheet-page {
    background: #fff;
  }
  .paper {
    margin: 0;
    padding: 0;
    max-width: none !important;
    box-shadow: none;
  }
  table {
    font-size: 8pt;
    line-height: 1.2;
  }
  .many table {
    font-size: 6.9pt;
    line-height: 1.14;
  }
  .many th,
  .many td {
    padding: 0.6mm 1mm;
  }
  .many .week {
    width: 14mm;
  }
  .many .line {
    grid-template-columns: 6.6mm 1fr;
  }
}
</style>
