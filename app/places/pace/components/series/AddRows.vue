<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { ResourceId } from '#core/base'
import type { ResourceKind } from '#core/library'
import type { PieceCard } from '#shared/contracts/library'
import type { SeriesPiece } from '#shared/contracts/series'
import { useShelf, useTray } from '~/places/shelf'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'

/** More rows: all pieces of a kind in a book's order, what lies in the tray, or by short codes. */
const props = defineProps<{ has: ReadonlySet<ResourceId> }>()
const emit = defineEmits<{ add: [pieces: readonly SeriesPiece[]] }>()
const shelf = useShelf()
const tray = useTray()
onMounted(() => tray.load())
const problem = ref('')
const book = ref<string | undefined>(undefined)
const kind = ref<ResourceKind | undefined>(undefined)
const books = computed(() => shelf.books.map((b) => ({ label: b.title, value: b.id as string })))
const bookId = computed(() => book.value ?? books.value[0]?.value)
const inBook = computed(() => (shelf.shelf?.pieces ?? []).filter((p) => p.bookId === bookId.value))
const kinds = computed(() =>
  [...new Set(inBook.value.map((p) => p.kind))].map((k) => ({ label: KIND_WORDS[k], value: k })),
)
/** In the order in which the book has them. */
const ofKind = computed(() => {
  const chosen = kind.value ?? kinds.value[0]?.value
  const order = new Map(
    (shelf.books.find((b) => b.id === bookId.value)?.units ?? [])
      .flatMap((u) => u.lessons)
      .map((l, i) => [l.id as string, i]),
  )
  const at = (p: PieceCard) => order.get(p.bookLessonId ?? '') ?? order.size
  return inBook.value.filter((p) => p.kind === chosen).sort((a, b) => at(a) - at(b))
})
const fresh = (list: readonly PieceCard[]) => list.filter((p) => !props.has.has(p.id))
function add(list: readonly PieceCard[]): void {
  emit('add', fresh(list))
}
const codes = ref('')
async function addCodes(): Promise<void> {
  const reply = await tray.read(codes.value)
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  const { found, unknown } = reply.value
  problem.value = unknown.length > 0 ? `Nowhere on the shelf: ${unknown.join(', ')}` : ''
  if (found.length === 0) return
  add(found)
  codes.value = unknown.join(' ')
}
</script>

<template>
  <section class="add" aria-label="Add rows" data-hook="add-rows">
    <div class="line">
      <USelect
        v-model="kind"
        class="min-w-36"
        :items="kinds"
        :placeholder="kinds[0]?.label"
        aria-label="Kind"
      />
      <USelect
        v-model="book"
        class="min-w-36"
        :items="books"
        :placeholder="books[0]?.label"
        aria-label="Textbook"
      />
      <UButton
        size="sm"
        variant="outline"
        data-hook="add-kind"
        :disabled="fresh(ofKind).length === 0"
        @click="add(ofKind)"
        >Add {{ fresh(ofKind).length }} in the book's order</UButton
      >
    </div>
    <form class="line" @submit.prevent="addCodes">
      <UInput
        v-model="codes"
        name="codes"
        class="w-60"
        placeholder="Codes, such as wav203"
        aria-label="Short codes"
      />
      <UButton size="sm" type="submit" variant="outline" color="neutral" :disabled="!codes.trim()"
        >Add</UButton
      >
      <UButton
        v-if="fresh(tray.cards).length"
        size="sm"
        variant="outline"
        color="neutral"
        @click="add(tray.cards)"
        >Add {{ fresh(tray.cards).length }} from the tray</UButton
      >
    </form>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.add {
  display: grid;
  gap: 0.4rem;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
</style>
