<script setup lang="ts">
import { computed } from 'vue'
import type { Way } from '#core/pacing'
import type { ClassRipple, WayShown } from '#shared/contracts/pacing'
import { waysTogether } from '../desk/waysTogether'
import type { DeskColumn } from '../stores/deskColumn'
import { gist } from '../words/rippleGist'
import { WAY_WORDS } from '../words/ways'

/** One class's ways out of a change; ways that come to the same are one cell. */
const props = defineProps<{ of: ClassRipple; column: DeskColumn | undefined; chosen: Way | null }>()
const emit = defineEmits<{ pick: [way: Way] }>()
const groups = computed(() => waysTogether(props.of.ways))
const name = computed(() => props.column?.of.name ?? '')
const isChosen = (ways: readonly WayShown[]) => ways.some((w) => w.way === props.chosen)
const sayWays = (ways: readonly WayShown[]) => ways.map((w) => WAY_WORDS[w.way].name).join(' or ')
</script>

<template>
  <tr>
    <th scope="row">{{ name }}</th>
    <td v-for="g in groups" :key="g[0].way" :colspan="g.length" :class="{ on: isChosen(g) }">
      <button
        type="button"
        :aria-pressed="isChosen(g)"
        :data-hook="`cell-${g[0].way}`"
        @click="emit('pick', g[0].way)"
      >
        <span class="sr-only">{{ name }}, {{ sayWays(g) }}: </span>
        <span v-for="line in gist(g[0], column)" :key="line.text" class="gist" :class="line.tone"
          >{{ line.text }}{{ ' ' }}</span
        >
        <span v-if="g.length > 1" class="gist same">{{ sayWays(g) }}: the same here</span>
      </button>
    </td>
  </tr>
</template>

<style scoped>
th {
  text-align: left;
  padding: 0.25rem 0.5rem 0.25rem 1rem;
  font-weight: 600;
  vertical-align: top;
  border-bottom: 1px solid var(--ui-border-muted);
}
td {
  border-bottom: 1px solid var(--ui-border-muted);
  border-left: 1px solid var(--ui-border-muted);
  vertical-align: top;
}
td.on {
  background: color-mix(in oklab, var(--ui-primary) 10%, var(--ui-bg));
  box-shadow: inset 3px 0 0 var(--ui-primary);
}
button {
  display: block;
  width: 100%;
  height: 100%;
  text-align: left;
  padding: 0.25rem 0.5rem;
  cursor: pointer;
  line-height: 1.3;
}
button:hover {
  background: var(--ui-bg-muted);
}
td.on button:hover {
  background: transparent;
}
.gist {
  display: block;
  font-size: var(--text-xs);
  line-height: 1.25;
}
.gist.needs {
  color: var(--ui-error);
  font-weight: 600;
}
.gist.care {
  color: var(--ui-warning);
  font-weight: 600;
}
.gist.quiet,
.gist.same {
  color: var(--ui-text-muted);
}
</style>
