<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ClassId, ResourceId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { useClassShelf } from '../composables/classShelf'
import { useShelf } from '../stores/shelf'
import LookInside from './LookInside.vue'
import ShelfSearch from './ShelfSearch.vue'

/** The shelf's search over another page: found, looked into, and taken; in its place at first what the page offers. */
const props = defineProps<{
  /** The class for which somebody looks. */
  classId: ClassId | null
  className: string | null
  /** Pieces that are taken already. */
  taken: readonly ResourceId[]
}>()
const emit = defineEmits<{ add: [card: PieceCard] }>()
const isOpen = defineModel<boolean>('open', { required: true })
const shelf = useShelf()
// asked for when it opens: most work needs no further piece
const { usual } = useClassShelf(computed(() => (isOpen.value ? props.classId : null)))
const chosen = ref<ResourceId | null>(null)
const card = computed(() => shelf.piece(chosen.value))
const isTaken = computed(() => chosen.value !== null && props.taken.includes(chosen.value))
watch(isOpen, () => {
  chosen.value = null
})
function look(id: ResourceId | null): void {
  chosen.value = id
}
function add(): void {
  if (!card.value) return
  emit('add', card.value)
  isOpen.value = false
}
</script>

<template>
  <USlideover
    v-model:open="isOpen"
    title="Add a piece"
    description="Look for it by word, standard or short code; press it to look inside."
    :ui="{ content: 'max-w-2xl' }"
  >
    <template #body>
      <ShelfSearch
        v-show="!chosen"
        is-beside
        :chosen="null"
        :usual="usual"
        :class-name="className"
        @choose="look"
      >
        <slot :done="() => (isOpen = false)" />
      </ShelfSearch>
      <template v-if="chosen">
        <UButton
          class="mb-3"
          color="neutral"
          variant="ghost"
          icon="i-lucide-arrow-left"
          data-hook="back-to-search"
          @click="look(null)"
          >Back to the search</UButton
        >
        <LookInside is-beside :resource-id="chosen" :lesson="null" :class-id="classId" @choose="look" />
      </template>
    </template>
    <template v-if="card" #footer>
      <UButton :disabled="isTaken" data-hook="take-piece" @click="add">{{
        isTaken ? 'It is in the work already' : `Add ${card.title}`
      }}</UButton>
    </template>
  </USlideover>
</template>
