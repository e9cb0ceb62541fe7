<script setup lang="ts">
import { shallowRef } from 'vue'
import { ShowPractice } from '#shared/contracts/practiceRoutes'
import type { RoutePiece, RouteToPractise } from '#shared/contracts/practiceRoutes'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'

/** Practice of one's own choice, in the order of the textbook; apart from set work, and without marks that count. */
const routes = shallowRef<readonly RouteToPractise[]>([])
async function load(): Promise<void> {
  const reply = await call(ShowPractice)
  if (reply.ok) routes.value = reply.value.routes
}
void load()
const hasPieces = (unit: RouteToPractise['units'][number]) => unit.lessons.some((l) => l.pieces.length > 0)
const isHere = (unit: RouteToPractise['units'][number]) => unit.lessons.some((l) => l.isHere)
function about(p: RoutePiece): string {
  const size = p.itemCount > 0 ? count(p.itemCount, 'question') : `${p.minutes} min`
  if (p.times === 0) return `${KIND_WORDS[p.kind]} · ${size}`
  const done = p.ratio === null ? 'looked at' : `last time ${percent(p.ratio)}`
  return `${KIND_WORDS[p.kind]} · ${size} · ${done}`
}
</script>

<template>
  <section
    v-for="route in routes"
    :key="route.id"
    :aria-label="`Practice: ${route.title}`"
    data-hook="practice"
  >
    <h2 class="mb-1">Practice: {{ route.title }}</h2>
    <p class="said mb-2">As you like, for {{ route.className }}. Nothing here counts.</p>
    <p v-if="route.waitsFor" class="said" data-hook="practice-waits">
      First finish “{{ route.waitsFor }}”; then you can practise.
    </p>
    <details
      v-for="unit in route.waitsFor ? [] : route.units.filter(hasPieces)"
      :key="unit.number"
      :open="isHere(unit)"
    >
      <summary>
        {{ unit.number }} {{ unit.title }}<span v-if="isHere(unit)" class="here">the class is here</span>
      </summary>
      <template v-for="lesson in unit.lessons" :key="lesson.number">
        <h3 v-if="lesson.pieces.length">
          {{ lesson.number }} {{ lesson.title
          }}<span v-if="lesson.isHere" class="here">the class is here</span>
        </h3>
        <ul>
          <li v-for="p in lesson.pieces" :key="p.id">
            <NuxtLink class="plain" :to="`/learn/practice/${p.id}`">{{ p.title }}</NuxtLink>
            <span class="said">{{ about(p) }}</span>
          </li>
        </ul>
      </template>
    </details>
  </section>
</template>

<style scoped>
summary {
  cursor: pointer;
  padding: 0.5rem 0;
  font-weight: 600;
  border-bottom: 1px solid var(--ui-border);
}
h3 {
  margin: 0.6rem 0 0.1rem 1.1rem;
  font-size: 0.89rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 0.8rem;
  padding: 0.25rem 0 0.25rem 1.1rem;
}
li a {
  min-height: 24px;
}
.here {
  margin-left: 0.6rem;
  padding: 0 0.45rem;
  border: 1px solid var(--ui-primary);
  border-radius: 6px;
  color: var(--ui-primary);
  font-size: var(--text-xs);
  font-weight: 600;
}
</style>
