<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { ClassId, ResourceId, UserId } from '#core/base'
import { forTheWeak } from '#core/library'
import { ShowGuide } from '#shared/contracts/library'
import type { PieceCard } from '#shared/contracts/library'
import { useShelf } from '~/places/shelf'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayPiece } from '~/shared/words/pieces'

/** What to give those below 60 %: first what the piece points to, then what its lesson has for them, then anything. */
const props = defineProps<{ resourceId: ResourceId; classId: ClassId; below: readonly UserId[] }>()
const shelf = useShelf()
/** Null until it is known: what is shown before would move under the pointer. */
const pointed = shallowRef<readonly PieceCard[] | null>(null)
async function load(): Promise<void> {
  const { resourceId } = props
  const reply = await call(ShowGuide, { params: { resourceId } })
  await shelf.load()
  if (resourceId !== props.resourceId) return
  pointed.value = forTheWeak(resourceId, {
    pointed: reply.ok ? reply.value.pointers.map((p) => p.to) : [],
    lesson: shelf.piecesOf(shelf.piece(resourceId)?.bookLessonId ?? null),
  })
}
watch(() => props.resourceId, load, { immediate: true })
const query = computed(() => ({
  learners: props.below.join(','),
  class: props.classId,
  because: 'below-60',
}))
</script>

<template>
  <section v-if="pointed" class="mt-3 grid gap-2" data-hook="give-to-below">
    <h3>For the {{ count(below.length, 'learner') }} below 60 %</h3>
    <div v-for="card in pointed" :key="card.id" class="flex items-start gap-2" data-hook="pointed">
      <div class="flex-1 min-w-0">
        <p class="text-sm">{{ card.title }}</p>
        <p class="said">{{ sayPiece(card) }}</p>
      </div>
      <UButton
        size="xs"
        :to="{ path: '/work/new', query: { ...query, piece: card.id } }"
        :aria-label="`Give ${card.title} to the ${count(below.length, 'learner')} below 60 %`"
        >Give</UButton
      >
    </div>
    <UButton
      class="justify-self-start"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      :to="{ path: '/work/new', query }"
      data-hook="assign-to-below"
      >{{ pointed.length ? 'Something else' : 'Assign something' }}</UButton
    >
  </section>
</template>
