<script setup lang="ts">
import { useHead, useRoute, useRouter } from '#imports'
import { computed, onMounted, ref } from 'vue'
import type { ResourceId } from '#core/base'
import { useShelf } from './stores/shelf'
import { sayRefusal } from '~/shared/words/refusals'
import LookInside from './components/LookInside.vue'
import ShelfOutline from './components/ShelfOutline.vue'
import ShelfSearch from './components/ShelfSearch.vue'
import TickedBar from './components/TickedBar.vue'

useHead({ title: 'Shelf · Step Cairn' })
const shelf = useShelf()
const route = useRoute()
const router = useRouter()
onMounted(() => void shelf.load())
const text = (key: string) => (typeof route.query[key] === 'string' ? (route.query[key] as string) : null)
const chosen = computed(() => text('piece') as ResourceId | null)
/** Pieces that are to be assigned together, in the order in which they were ticked. */
const ticked = ref<readonly ResourceId[]>([])
const choose = (id: string) => void router.replace({ query: { ...route.query, piece: id } })
</script>

<template>
  <div class="shelf">
    <section class="left">
      <header class="flex items-center gap-2 mb-3">
        <h1 class="flex-1">Shelf</h1>
        <UButton to="/shelf-own" variant="outline" icon="i-lucide-plus" data-hook="write-own"
          >Write an own piece</UButton
        >
      </header>
      <p v-if="shelf.problem" class="note-line needs" role="alert">{{ sayRefusal(shelf.problem) }}</p>
      <p v-else-if="shelf.shelf && shelf.books.length === 0 && shelf.shelf.pieces.length === 0" class="said">
        The shelf is empty. Write a first piece of your own, such as a short check.
      </p>
      <ShelfSearch v-model:ticked="ticked" :chosen="chosen" @choose="choose">
        <ShelfOutline v-model:ticked="ticked" :chosen="chosen" @choose="choose($event.id)" />
      </ShelfSearch>
      <TickedBar v-if="ticked.length" v-model="ticked" :lesson="text('lesson')" :class-id="text('class')" />
    </section>
    <section class="right" aria-label="Look inside">
      <LookInside v-if="chosen" :resource-id="chosen" :lesson="text('lesson')" :class-id="text('class')" />
      <p v-else class="said p-6">
        Choose a piece at the left to look inside, as a learner sees it and with its answers.
      </p>
    </section>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: minmax(20rem, 25rem) minmax(0, 1fr);
  height: 100%;
}
.left {
  overflow: auto;
  padding: 0.9rem 1rem 2rem;
  border-right: 1px solid var(--ui-border);
}
.right {
  overflow: auto;
  padding: 1.1rem 1.75rem 3rem;
}
@media (max-width: 900px) {
  .shelf {
    grid-template-columns: 1fr;
    height: auto;
  }
  .left {
    border-right: 0;
  }
}
</style>
