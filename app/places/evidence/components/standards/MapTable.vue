<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { bandOf } from '#core/evidence'
import type { StandardsMap } from '#shared/contracts/standardsMap'
import { useGridKeys } from '~/shared/frame/gridKeys'
import { count, percent } from '~/shared/words/numbers'
import { isLeftBehind, saySeen, sayStanding, sayTaught } from '../../standardWords'

/** Learners × standards in the plan's order under their units; the class as a whole stands first. */
const props = defineProps<{ map: StandardsMap; chosen: string | null }>()
const emit = defineEmits<{ choose: [code: string]; open: [code: string] }>()
const { isStop, move, stopAt } = useGridKeys(() => ({
  rows: props.map.learners.length,
  columns: props.map.columns.length,
}))
const table = useTemplateRef<HTMLElement>('table')
// what opens beside the table must not hide what it is about
watch(
  () => props.chosen,
  async () => {
    await nextTick()
    table.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
  { immediate: true },
)
/** Each learner with a cell for each standard, worked out once for the whole table. */
const rows = computed(() => {
  const standings = new Map(props.map.standings.map((s) => [`${s.learnerId} ${s.code}`, s]))
  return props.map.learners.map((l) => ({
    ...l,
    cells: props.map.columns.map(({ code }) => {
      const standing = standings.get(`${l.id} ${code}`) ?? null
      const tone = standing ? bandOf(standing.share) : 'unseen'
      return { code, standing, tone, said: sayStanding(l.name, code, standing) }
    }),
  }))
})
/** Units that stand beside each other, each with how many standards it has here. */
const units = computed(() => {
  const list: { title: string; span: number }[] = []
  for (const { unit } of props.map.columns) {
    const title = unit ?? 'In no lesson of the plan'
    const last = list.at(-1)
    if (last?.title === title) last.span++
    else list.push({ title, span: 1 })
  }
  return list
})
</script>

<template>
  <div class="scroller" tabindex="0" role="region" aria-label="Learners and standards">
    <table ref="table" class="grid-table standards">
      <thead>
        <tr class="units">
          <td class="name" />
          <th v-for="(u, i) in units" :key="i" scope="colgroup" :colspan="u.span">
            <span>{{ u.title }}</span>
          </th>
        </tr>
        <tr>
          <th scope="col" class="name">Learner</th>
          <th
            v-for="c in map.columns"
            :key="c.code"
            scope="col"
            class="standard"
            :class="{ chosen: c.code === chosen }"
          >
            <button
              type="button"
              :aria-pressed="c.code === chosen"
              :title="c.text"
              data-hook="standard"
              @click="emit('choose', c.code)"
            >
              {{ c.code }}
            </button>
            <span class="said">{{ sayTaught(c, map.zone) }}</span>
            <span class="said" :class="{ long: isLeftBehind(c, map.now) }">{{ saySeen(c, map.zone) }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr class="whole">
          <th scope="row" class="name">The class</th>
          <td v-for="c in map.columns" :key="c.code" data-hook="of-class">
            <template v-if="c.spread.mean !== null">
              <b>{{ percent(c.spread.mean) }}</b>
              <span class="said block">{{ map.learners.length - c.spread.who.unseen.length }} seen</span>
            </template>
          </td>
        </tr>
        <tr v-for="(l, row) in rows" :key="l.id">
          <th scope="row" class="name">
            <!-- the grid is one stop for keys: they go there from a cell -->
            <NuxtLink
              class="plain"
              tabindex="-1"
              :to="{ path: '/evidence/record', query: { class: map.classId, learner: l.id } }"
              >{{ l.name }}</NuxtLink
            >
          </th>
          <td v-for="(c, at) in l.cells" :key="c.code" :class="c.tone">
            <button
              type="button"
              class="cell"
              data-cell
              :tabindex="isStop(row, at) ? 0 : -1"
              :aria-label="c.said"
              @keydown="move"
              @focus="stopAt(row, at)"
              @click="emit('open', c.code)"
            >
              <template v-if="c.standing">
                {{ percent(c.standing.share) }}
                <span class="n" :class="{ few: c.standing.few }">{{ c.standing.items }}</span>
              </template>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="said key">
      Share of points, newer answers weigh more: one of six weeks ago counts half. Beside it on how many items
      it rests. Empty: not yet seen. {{ count(map.learners.length, 'learner') }}.
    </p>
  </div>
</template>

<style scoped src="./mapTable.css"></style>
