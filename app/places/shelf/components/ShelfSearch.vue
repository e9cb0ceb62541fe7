<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, toRef } from 'vue'
import type { ResourceId } from '#core/base'
import { FACETS, SEARCH_ORDERS, standardsLike } from '#core/library'
import type { Facet, ShelfFilter } from '#core/library'
import { useAddress } from '~/shared/frame/address'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useShelf } from '../stores/shelf'
import { useShelfSearch } from '../composables/shelfSearch'
import { filterAsText, filterIn } from '../filterInAddress'
import { FACET_WORDS, ORDER_WORDS, sayValue } from '../words/facets'
import OutlinePiece from './OutlinePiece.vue'
import ShelfRow from './ShelfRow.vue'

/** Looks for pieces by words, standard or code; while nothing is looked for, what stands in its place. */
const props = defineProps<{
  chosen: string | null
  /** By what searches for the class are narrowed, and what the class is called; null: for nobody in particular. */
  usual: ShelfFilter
  className: string | null
  /** It stands over another page: nothing is ticked, and the address stays that page's. */
  isBeside?: boolean
}>()
const emit = defineEmits<{
  choose: [id: ResourceId]
  keep: [filter: ShelfFilter]
  standard: [code: string]
}>()
const shelf = useShelf()
const address = useAddress()
const asked = props.isBeside ? '' : (address.text('q') ?? '')
const {
  text,
  filter,
  order,
  isNarrowing,
  found,
  problem,
  chosen: narrowedBy,
  isOn,
  toggle,
  clear,
  isOverridden,
  narrowTo,
} = useShelfSearch({
  text: asked,
  filter: props.isBeside ? null : filterIn(address.text('narrow')),
  usual: toRef(props, 'usual'),
})
const hasUsual = computed(() => Object.keys(props.usual).length > 0)
// what is looked for stands in the address, so that a reload or a way back finds it again
watchDebounced(
  [text, filter],
  () => {
    if (props.isBeside) return
    const q = text.value.trim() === '' ? null : text.value
    const narrow = isOverridden.value ? filterAsText(filter.value) : null
    // an address that is put while one is on the way to another page would hold one back
    if (q !== address.text('q') || narrow !== address.text('narrow')) void address.put({ q, narrow })
  },
  { debounce: 300 },
)
const MOST_STANDARDS = 3
/** Standards that may be meant themselves. */
const standards = computed(() =>
  props.isBeside ? [] : standardsLike(shelf.shelf?.standards ?? [], text.value).slice(0, MOST_STANDARDS),
)
const ORDER_ITEMS = SEARCH_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))
const isChosen = (facet: Facet, value: string) => filter.value[facet]?.includes(value) ?? false
</script>

<template>
  <div>
    <UInput
      v-model="text"
      icon="i-lucide-search"
      placeholder="Word, standard or short code"
      aria-label="Search the shelf"
      name="search-shelf"
    />
    <div class="flex flex-wrap gap-2 items-center mt-2">
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        :aria-expanded="isNarrowing"
        :icon="isNarrowing ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
        data-hook="narrow"
        @click="
          () => {
            isNarrowing = !isNarrowing
          }
        "
        >Narrow<template v-if="narrowedBy">: {{ narrowedBy }}</template></UButton
      >
      <template v-if="isOn">
        <USelect v-model="order" size="xs" class="w-36" :items="ORDER_ITEMS" aria-label="Order" />
        <UButton size="xs" color="neutral" variant="ghost" data-hook="clear-search" @click="clear"
          >Show the outline</UButton
        >
      </template>
    </div>
    <div v-if="isNarrowing && found" class="grid gap-2 mt-3" data-hook="facets">
      <template v-for="facet in FACETS" :key="facet">
        <div v-if="found.facets[facet].length > 1 || filter[facet]?.length" class="facet">
          <h2>{{ FACET_WORDS[facet] }}</h2>
          <div class="flex flex-wrap gap-1" role="group" :aria-label="FACET_WORDS[facet]">
            <UButton
              v-for="{ value, count: n } in found.facets[facet]"
              :key="value"
              size="xs"
              color="neutral"
              :variant="isChosen(facet, value) ? 'solid' : 'outline'"
              :aria-pressed="isChosen(facet, value)"
              :data-hook="`facet-${facet}-${value}`"
              @click="toggle(facet, value)"
              >{{ sayValue(facet, value) }} <span class="font-normal">{{ n }}</span></UButton
            >
          </div>
        </div>
      </template>
    </div>
    <div v-if="className && isOn" class="usual" data-hook="usual">
      <p v-if="!isOverridden && hasUsual" class="said">Narrowed as usual for {{ className }}.</p>
      <p v-else-if="hasUsual" class="said">
        This search is not narrowed as usual for {{ className }}; what is usual stays as it is.
      </p>
      <UButton
        v-if="!isOverridden && hasUsual"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="search-everything"
        @click="narrowTo({})"
        >Search everything</UButton
      >
      <UButton
        v-if="isOverridden && hasUsual"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="as-usual"
        @click="narrowTo(usual)"
        >As usual</UButton
      >
      <UButton
        v-if="isOverridden"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="keep-usual"
        @click="emit('keep', filter)"
        >Make this usual for {{ className }}</UButton
      >
    </div>
    <p v-if="problem" class="note-line needs mt-3" role="alert">{{ sayRefusal(problem) }}</p>
    <template v-if="isOn && found">
      <ul v-if="standards.length" class="mt-2" aria-label="Standards" data-hook="standards-found">
        <li v-for="s in standards" :key="s.code">
          <ShelfRow :is-chosen="false" @choose="emit('standard', s.code)"
            >{{ s.text }} <span class="code said">{{ s.code }}</span></ShelfRow
          >
        </li>
      </ul>
      <p class="said my-2" role="status" data-hook="found">
        {{ count(found.total, 'piece') }} found<template v-if="found.total > found.pieces.length"
          >, the first {{ found.pieces.length }} shown: narrow it to see others</template
        >
      </p>
      <p v-if="found.total === 0" class="said">
        Nothing has all of this. Try fewer words, or only the beginning of one.
      </p>
      <ul>
        <li v-for="{ piece, hadBy } in found.pieces" :key="piece.id">
          <OutlinePiece
            :piece="piece"
            :is-chosen="piece.id === chosen"
            :from="shelf.whereFrom(piece)"
            :had-by="hadBy"
            :may-tick="!isBeside"
            @choose="emit('choose', piece.id)"
          />
        </li>
      </ul>
    </template>
    <slot v-else-if="!isOn" />
  </div>
</template>

<style scoped>
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  align-items: center;
  margin-top: 0.6rem;
}
.facet {
  display: grid;
  grid-template-columns: 4.2rem 1fr;
  gap: 0.3rem;
  align-items: baseline;
}
.facet h2 {
  font-size: var(--text-xs);
}
</style>
