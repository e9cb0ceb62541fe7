<script setup lang="ts">
import { useRoute } from '#imports'
import { computed } from 'vue'

/** Each place, and where one is now. */
const route = useRoute()
const path = computed(() => route.path)
const PLACES = [
  { to: '/pace', word: 'Pace', icon: 'i-lucide-milestone' },
  { to: '/shelf', word: 'Shelf', icon: 'i-lucide-library-big' },
  { to: '/classes', word: 'Classes', icon: 'i-lucide-users-round' },
  { to: '/work', word: 'Work', icon: 'i-lucide-inbox' },
  { to: '/evidence', word: 'Evidence', icon: 'i-lucide-chart-no-axes-column' },
] as const
/** Its own page, or one further in. */
const isHere = (to: string) =>
  path.value === to || path.value.startsWith(`${to}/`) || path.value.startsWith(`${to}-`)
</script>

<template>
  <nav class="rail" aria-label="Places">
    <NuxtLink to="/pace/week" class="mark" aria-label="Step Cairn, the week ahead"
      ><img src="/cairn.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <NuxtLink
      v-for="p in PLACES"
      :key="p.to"
      :to="p.to"
      class="place"
      :class="{ here: isHere(p.to) }"
      :aria-current="isHere(p.to) ? (path === p.to ? 'page' : 'true') : undefined"
      :data-hook="`place-${p.word.toLowerCase()}`"
    >
      <UIcon :name="p.icon" class="size-5" aria-hidden="true" />
      <span>{{ p.word }}</span>
    </NuxtLink>
  </nav>
</template>

<style scoped>
.rail {
  display: flex;
  flex-direction: column;
  gap: 2px;
  width: 4.5rem;
  padding: 0.55rem 0.35rem;
  border-right: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
}
.mark {
  display: grid;
  place-content: center;
  padding-bottom: 0.7rem;
}
.place {
  display: grid;
  justify-items: center;
  gap: 2px;
  padding: 0.5rem 0;
  border-radius: 0.4rem 0.5rem 0.35rem 0.45rem;
  font-size: var(--text-xs);
  color: var(--ui-text-toned);
}
.place:hover {
  background: var(--ui-bg-accented);
}
.place.here {
  background: var(--color-tarn-700);
  color: #fff;
  font-weight: 600;
}
@media (max-width: 720px) {
  .rail {
    position: fixed;
    inset: auto 0 0 0;
    z-index: 30;
    width: auto;
    flex-direction: row;
    justify-content: space-around;
    border: 0;
    border-top: 1px solid var(--ui-border);
    padding: 0.2rem;
  }
  .mark {
    display: none;
  }
  .place {
    padding: 0.35rem 0.6rem;
  }
}
</style>
