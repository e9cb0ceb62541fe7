<script setup lang="ts">
import { navigateTo, preloadRouteComponents } from '#imports'
import { computed } from 'vue'
import type { DeskColumn } from '../stores/deskColumn'
import { useDialogs } from '~/shared/frame/dialogs'
import FeedDialog from './FeedDialog.vue'
import HistoryPanel from './HistoryPanel.vue'

const props = defineProps<{ columns: readonly DeskColumn[] }>()
const emit = defineEmits<{ agree: [] }>()
const open = useDialogs()
/** The entry of the menu that opened a dialog is gone when the dialog closes; the menu's button is not. */
const toMenu = () => document.querySelector<HTMLElement>('[data-hook="desk-menu"]')
const one = computed(() => (props.columns.length === 1 ? (props.columns[0] ?? null) : null))
const query = computed(() => (one.value ? { class: one.value.of.id } : {}))

/** Pages that the menu leads to come while it is being read. */
const NEXT = ['/pace/fit', '/pace/week', '/pace/series', '/pace/place', '/pace/load', '/pace/sheet']
function opens(isOpen: boolean): void {
  if (isOpen) for (const path of NEXT) void preloadRouteComponents(path)
}

const items = computed(() => [
  [
    {
      label: 'Make it fit',
      icon: 'i-lucide-ruler',
      onSelect: () => void navigateTo({ path: '/pace/fit', query: query.value }),
    },
    {
      label: 'Fit, drift and forecast',
      icon: 'i-lucide-chart-line',
      onSelect: () => void navigateTo({ path: '/pace/charts', query: query.value }),
    },
    {
      label: 'The week ahead',
      icon: 'i-lucide-calendar-days',
      onSelect: () => void navigateTo('/pace/week'),
    },
    {
      label: 'Series',
      icon: 'i-lucide-list-video',
      onSelect: () => void navigateTo({ path: '/pace/series', query: query.value }),
    },
    {
      label: 'Place pieces on days',
      icon: 'i-lucide-calendar-plus',
      onSelect: () => void navigateTo('/pace/place'),
    },
    {
      label: 'Load by week',
      icon: 'i-lucide-weight',
      onSelect: () => void navigateTo({ path: '/pace/load', query: query.value }),
    },
    {
      label: 'Term sheet to print',
      icon: 'i-lucide-printer',
      onSelect: () => void navigateTo({ path: '/pace/sheet', query: query.value }),
    },
  ],
  [
    {
      label: 'Change the plan',
      icon: 'i-lucide-list-ordered',
      disabled: !props.columns.some((c) => c.plan),
      onSelect: () => void navigateTo(`/classes/plan/${props.columns.find((c) => c.plan)?.plan?.id}`),
    },
    {
      label: 'Standing work of the plan',
      icon: 'i-lucide-layers',
      disabled: !props.columns.some((c) => c.plan),
      onSelect: () => void navigateTo(`/classes/standing/${props.columns.find((c) => c.plan)?.plan?.id}`),
    },
    { label: 'Take this as the baseline', icon: 'i-lucide-flag', onSelect: () => emit('agree') },
    {
      label: 'What was changed',
      icon: 'i-lucide-history',
      onSelect: () => void open(HistoryPanel, {}, toMenu),
    },
    {
      label: 'Calendar files and feed',
      icon: 'i-lucide-calendar',
      onSelect: () => void open(FeedDialog, { columns: props.columns }, toMenu),
    },
  ],
])
</script>

<template>
  <!-- not modal: shutting the rest of a large page off and on again takes longer than the menu -->
  <UDropdownMenu :items="items" :modal="false" @update:open="opens"
    ><UButton
      size="xs"
      color="neutral"
      variant="outline"
      trailing-icon="i-lucide-chevron-down"
      data-hook="desk-menu"
      >More</UButton
    ></UDropdownMenu
  >
</template>
