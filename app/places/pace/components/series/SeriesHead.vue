<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { ClassId } from '#core/base'
import type { ClassSeries } from '#shared/contracts/series'
import { count } from '~/shared/words/numbers'
import type { SeriesLane } from '../../composables/seriesLane'
import { sayRule } from '../../words/series'

/** What a series is called, how it stands, and what is done with all of it. */
const props = defineProps<{
  of: ClassSeries
  lane: SeriesLane
  /** Classes that it may be copied to. */
  others: readonly { readonly id: ClassId; readonly name: string }[]
  /** Its rule and people are opened to be changed. */
  isOpened: boolean
}>()
const emit = defineEmits<{ release: []; clear: []; remove: []; copy: [id: ClassId]; settings: [] }>()
const rows = computed(() => props.lane.kept.series.rows.length)
/** What is done seldom, or leads away. */
const items = computed(() => {
  const first = props.of.learners[0]
  const sees = { label: 'What a learner sees now', to: { path: '/lens', query: { learner: first?.id } } }
  const copies = props.others.map((c) => ({ label: c.name, onSelect: () => emit('copy', c.id) }))
  const clears = rows.value
    ? { label: 'Clear and start over', onSelect: () => emit('clear') }
    : { label: 'Remove the series', onSelect: () => emit('remove') }
  const changes = [...(copies.length ? [{ label: 'Copy to', children: copies }] : []), clears]
  return [first ? [sees] : [], props.of.mayChange ? changes : []].filter((group) => group.length > 0)
})
const box = useTemplateRef<HTMLElement>('box')
/** What comes after rows were added: the focus goes to releasing them, if there are any to release. */
function toRelease(): void {
  box.value?.querySelector<HTMLElement>('[data-hook="release-series"]')?.focus()
}
defineExpose({ toRelease })
</script>

<template>
  <div ref="box" class="grid gap-2">
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="flex-1 min-w-40">{{ lane.kept.series.title }}</h2>
      <UButton v-if="of.mayChange && lane.waiting > 0" data-hook="release-series" @click="emit('release')"
        >Release {{ count(lane.waiting, 'row') }}</UButton
      >
      <UDropdownMenu v-if="items.length" :items="items"
        ><UButton
          variant="outline"
          color="neutral"
          trailing-icon="i-lucide-chevron-down"
          data-hook="series-more"
          >More</UButton
        ></UDropdownMenu
      >
    </div>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <p class="said" data-hook="series-sentence">
        {{ count(rows, 'row') }}, {{ sayRule(lane.kept.series.rule) }}; {{ lane.released.size }} released,
        {{ lane.waiting }} ready, {{ rows - lane.released.size - lane.waiting }} not released.
      </p>
      <UButton
        size="xs"
        variant="outline"
        color="neutral"
        :icon="isOpened ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
        :aria-expanded="isOpened"
        data-hook="series-settings"
        @click="emit('settings')"
        >How often, for whom</UButton
      >
    </div>
  </div>
</template>
