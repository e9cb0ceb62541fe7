<script setup lang="ts">
import { computed } from 'vue'
import type { Instant } from '#core/base'
import { learnersWeek } from '#core/agenda'
import type { LearnerCard } from '#core/work'
import { count } from '~/shared/words/numbers'
import { sayDay, zoneNamed } from '~/shared/words/times'

/** The week in a line: what opens and falls due on which day, and the minutes of what is to do now. */
const props = defineProps<{ work: readonly LearnerCard[]; now: Instant; zone: string }>()
const today = computed(() => zoneNamed(props.zone).local(props.now).on)
const week = computed(() => learnersWeek(props.work, today.value, (at) => zoneNamed(props.zone).local(at).on))
const days = computed(() => week.value.days.filter((d, i) => i < 5 || d.opens + d.due > 0))
const said = (n: number, word: string) => (n > 0 ? `${n} ${word}` : '')
</script>

<template>
  <section aria-label="This week" data-hook="my-week">
    <ol>
      <li v-for="d in days" :key="d.on" :class="{ now: d.on === today }">
        <b>{{ sayDay(d.on).slice(0, 3) }}</b>
        <span v-if="d.due">{{ said(d.due, 'due') }}</span>
        <span v-if="d.opens" class="soft">{{ said(d.opens, 'opens') }}</span>
      </li>
    </ol>
    <p class="said">
      {{ week.minutes > 0 ? `${count(week.minutes, 'minute')} to do now` : 'Nothing to do now' }}
    </p>
  </section>
</template>

<style scoped>
ol {
  display: flex;
  gap: 4px;
}
li {
  flex: 1;
  min-height: 3.6rem;
  padding: 0.25rem 0.4rem;
  border: 1px solid var(--ui-border);
  border-radius: 7px 5px 8px 6px;
  font-size: var(--text-xs);
  line-height: 1.25;
  display: grid;
  align-content: start;
}
li.now {
  border-color: var(--ui-primary);
  box-shadow: inset 0 3px 0 var(--ui-primary);
}
.soft {
  color: var(--ui-text-muted);
}
</style>
