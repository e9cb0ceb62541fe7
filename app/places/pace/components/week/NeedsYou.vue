<script setup lang="ts">
import { computed } from 'vue'
import { isAct } from '../../week/needs'
import type { NeedLine } from '../../week/needs'
import { count } from '~/shared/words/numbers'

/** What waits for the teacher, each line with the place where it is done. */
const props = defineProps<{ lines: readonly NeedLine[] | null; changes: readonly string[] }>()
const acts = computed(() => props.lines?.filter(isAct) ?? [])
const people = computed(() => props.lines?.filter((l) => !isAct(l)) ?? [])
</script>

<template>
  <aside class="needs" aria-label="Needs you" data-hook="needs-you">
    <h2>Needs you</h2>
    <p v-if="!lines" class="said">Looking …</p>
    <p v-else-if="lines.length === 0">Nothing waits for you.</p>
    <template v-else>
      <ul>
        <li v-for="l in acts" :key="l.key" :class="l.kind">
          <div class="flex-1 min-w-0">
            {{ l.text }}
            <p class="said">{{ l.about }}</p>
          </div>
          <UButton size="xs" variant="outline" :to="l.to" :aria-label="`${l.act}: ${l.text}, ${l.about}`">{{
            l.act
          }}</UButton>
        </li>
      </ul>
      <h3 v-if="people.length">Who to look at</h3>
      <ul>
        <li v-for="l in people" :key="l.key">
          <div class="flex-1 min-w-0">
            {{ l.text }}
            <p class="said">{{ l.about }}</p>
          </div>
          <UButton
            size="xs"
            variant="link"
            :to="l.to"
            :aria-label="`${l.act}: ${l.text}, ${l.about}`"
            data-print="hide"
            >{{ l.act }}</UButton
          >
        </li>
      </ul>
    </template>
    <template v-if="changes.length">
      <h3>Since last week</h3>
      <p class="said">{{ count(changes.length, 'change') }} to plans and work, the latest:</p>
      <ul class="changes">
        <li v-for="(c, i) in changes.slice(0, 5)" :key="i">{{ c }}</li>
      </ul>
    </template>
  </aside>
</template>

<style scoped>
.needs {
  display: grid;
  gap: 0.4rem;
  align-content: start;
  font-size: 0.83rem;
}
.needs h3 {
  margin-top: 0.5rem;
}
.needs li {
  display: flex;
  gap: 0.5rem;
  align-items: start;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--ui-border);
}
.needs .publish,
.needs .score {
  border-left: 4px solid var(--ui-error);
  padding-left: 0.5rem;
}
.needs .plan,
.needs .series,
.needs .queue {
  border-left: 4px solid var(--ui-warning);
  padding-left: 0.5rem;
}
.needs .changes li {
  border: 0;
  padding: 0.1rem 0;
}
@media print {
  .needs {
    display: block;
    font-size: 7pt;
  }
  .needs .said {
    font-size: 6.5pt;
  }
  .needs h2,
  .needs h3 {
    font-size: 8.5pt;
    margin: 1mm 0 0;
  }
  .needs ul {
    columns: 4;
    column-gap: 5mm;
  }
  .needs li {
    break-inside: avoid;
  }
  .needs li {
    padding: 0.3mm 0;
  }
  .needs li > :last-child:not(:first-child) {
    display: none;
  }
}
</style>
