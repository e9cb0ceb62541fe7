<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import type { ResourceId } from '#core/base'
import { ShowShelfNow } from '#shared/contracts/library'
import type { ReplyOf } from '#shared/contracts/contract'
import { call } from '~/shared/wire/call'
import { sayPiece } from '~/shared/words/pieces'
import { useShelf } from '../stores/shelf'

/** With what one likely goes on, while nothing is chosen: where the classes are, and what was given last. */
const emit = defineEmits<{ choose: [id: ResourceId] }>()
const shelf = useShelf()
const now = shallowRef<ReplyOf<typeof ShowShelfNow> | null>(null)
onMounted(async () => {
  const reply = await call(ShowShelfNow)
  if (reply.ok) now.value = reply.value
})
const parts = computed(() => {
  const { lessons = [], given = [] } = now.value ?? {}
  const ofLessons = lessons.map((l) => ({
    title: `${l.number} ${l.title}`,
    about: `${l.classes.join(', ')} ${l.classes.length === 1 ? 'is' : 'are'} here`,
    pieces: shelf.piecesOf(l.bookLessonId),
  }))
  const last = { title: 'Given last', about: '', pieces: given.flatMap((id) => shelf.piece(id) ?? []) }
  return [...ofLessons, last].filter((p) => p.pieces.length > 0)
})
</script>

<template>
  <div v-if="now" class="grid gap-5" data-hook="shelf-now">
    <p class="said">
      Choose a piece or a standard. A piece opens as a learner sees it, and with its answers.
    </p>
    <section v-for="part in parts" :key="part.title" :aria-label="part.title">
      <h2>
        {{ part.title }} <span class="said font-normal">{{ part.about }}</span>
      </h2>
      <ul>
        <li v-for="p in part.pieces" :key="p.id">
          <button type="button" class="title" @click="emit('choose', p.id)">{{ p.title }}</button>
          <span class="said">{{ sayPiece(p) }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.title {
  min-height: 24px;
  color: var(--ui-primary);
  text-align: left;
}
.title:hover {
  text-decoration: underline;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.8rem;
  align-items: baseline;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--ui-border);
}
</style>
