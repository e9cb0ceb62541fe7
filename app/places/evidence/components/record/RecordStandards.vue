<script setup lang="ts">
import { bandOf } from '#core/evidence'
import type { ClassId } from '#core/base'
import type { LearnerRecord } from '../../learnerRecord'
import { count, percent } from '~/shared/words/numbers'
import { sayDate, zoneNamed } from '~/shared/words/times'

/** How a learner stands on what they were asked for, what they were not asked for, and what they practised. */
const props = defineProps<{
  record: LearnerRecord
  zone: string
  classId: ClassId
}>()
const seenOn = (at: LearnerRecord['standards'][number]['standing']['lastAt']) =>
  sayDate(zoneNamed(props.zone).local(at).on)
const toStandard = (code: string) => ({
  path: '/evidence/standards',
  query: { class: props.classId, standard: code },
})
</script>

<template>
  <section class="grid gap-4">
    <div>
      <h2>Standards</h2>
      <p v-if="!record.standards.length" class="said">Nothing they handed in asks for a standard yet.</p>
      <ul v-else data-hook="record-standards">
        <li v-for="s in record.standards" :key="s.column.code" :class="bandOf(s.standing.share)">
          <b class="share">{{ percent(s.standing.share) }}</b>
          <span>
            <NuxtLink class="code" :to="toStandard(s.column.code)">{{ s.column.code }}</NuxtLink>
            {{ s.column.text }}
            <span class="said block"
              >on {{ count(s.standing.items, 'item') }}{{ s.standing.few ? ', few' : '' }}, last
              {{ seenOn(s.standing.lastAt) }}</span
            >
          </span>
        </li>
      </ul>
      <p v-if="record.unseen.length" class="said mt-2" data-hook="record-unseen">
        Taught, and not asked of them yet: {{ record.unseen.map((c) => c.code).join(', ') }}.
      </p>
    </div>
    <div v-if="record.practised.length">
      <h2>Practice of their own choice</h2>
      <ul>
        <li v-for="p in record.practised" :key="p.title">
          <b class="share">{{ p.ratio === null ? '–' : percent(p.ratio) }}</b>
          <span
            >{{ p.title }} <span class="said block">{{ count(p.times, 'time') }}</span></span
          >
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 1px;
  font-size: 0.9rem;
}
li {
  display: grid;
  grid-template-columns: 3.4rem 1fr;
  gap: 0.5rem;
  padding: 0.4rem 0.5rem;
  border-bottom: 1px solid var(--ui-border-muted);
}
li.low {
  background: var(--share-low);
}
li.high {
  background: var(--share-high);
}
.share {
  font-variant-numeric: tabular-nums;
}
.code {
  font-weight: 600;
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 2px;
}
</style>
