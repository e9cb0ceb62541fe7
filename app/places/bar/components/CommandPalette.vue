<script setup lang="ts">
import { defineShortcuts, navigateTo } from '#imports'
import { computed, ref } from 'vue'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { sayPiece } from '~/shared/words/pieces'

const open = ref(false)
const desk = useDesk()
const shelf = useShelf()
defineShortcuts({
  meta_k: {
    usingInput: true,
    handler: () => {
      open.value = true
    },
  },
})

const go = (to: string) => () => {
  open.value = false
  void navigateTo(to)
}
const groups = computed(() => [
  {
    id: 'places',
    label: 'Places',
    items: [
      { label: 'The week ahead', suffix: 'Pace', onSelect: go('/pace/week') },
      { label: 'Planning desk', suffix: 'Pace', onSelect: go('/pace') },
      { label: 'Series', suffix: 'Pace', onSelect: go('/pace/series') },
      { label: 'Place pieces on days', suffix: 'Pace', onSelect: go('/pace/place') },
      { label: 'Textbooks and pieces', suffix: 'Shelf', onSelect: go('/shelf') },
      { label: 'Classes', onSelect: go('/classes') },
      { label: 'Work to publish, open and due', suffix: 'Work', onSelect: go('/work') },
      { label: 'Results', suffix: 'Evidence', onSelect: go('/evidence') },
      { label: 'Lens: what a learner sees', onSelect: go('/lens') },
      { label: 'School year and closures', onSelect: go('/classes/year') },
      { label: 'Plans', onSelect: go('/classes/plans') },
    ],
  },
  {
    id: 'classes',
    label: 'Classes',
    items: desk.classes.map((c) => ({
      label: c.name,
      suffix: 'on the desk',
      onSelect: go(`/pace?class=${c.id}`),
    })),
  },
  {
    id: 'lessons',
    label: 'Lessons',
    items: desk.columns
      .filter((c, i) => c.plan && desk.columns.findIndex((x) => x.plan === c.plan) === i)
      .flatMap((c) =>
        (c.plan?.lessons ?? []).map((l) => ({
          label: `${l.number} ${l.title}`,
          suffix: c.plan?.course ?? '',
          onSelect: go(`/pace?of=${c.of.id}&lesson=${l.id}`),
        })),
      ),
  },
  {
    id: 'pieces',
    label: 'Pieces',
    items: (shelf.shelf?.pieces ?? []).map((p) => ({
      label: `${p.title}`,
      suffix: `${p.code} · ${sayPiece(p)}`,
      onSelect: go(`/shelf?piece=${p.id}`),
    })),
  },
])
</script>

<template>
  <UModal
    v-model:open="open"
    title="Search and commands"
    description="Places, classes, lessons and pieces"
    :ui="{ content: 'max-w-xl' }"
  >
    <UButton color="neutral" variant="outline" icon="i-lucide-search" data-hook="palette"
      ><span class="hidden sm:inline">Search</span> <UKbd value="ctrl" class="hidden sm:inline-flex" /><UKbd
        value="k"
        class="hidden sm:inline-flex"
    /></UButton>
    <template #content>
      <UCommandPalette
        :groups="groups"
        placeholder="Go to a class, a lesson, a piece …"
        class="h-96"
        close
        @update:open="open = $event"
      />
    </template>
  </UModal>
</template>
