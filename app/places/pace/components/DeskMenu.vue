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

/** Pages that the menu leads to: of the class that is looked at alone, or of all. */
const PAGES = [
  { label: 'Make it fit', icon: 'i-lucide-ruler', path: '/pace/fit', isOfClass: true },
  { label: 'Fit, drift and forecast', icon: 'i-lucide-chart-line', path: '/pace/charts', isOfClass: true },
  { label: 'The week ahead', icon: 'i-lucide-calendar-days', path: '/pace/week', isOfClass: false },
  { label: 'Series', icon: 'i-lucide-list-video', path: '/pace/series', isOfClass: true },
  { label: 'Place pieces on days', icon: 'i-lucide-calendar-plus', path: '/pace/place', isOfClass: false },
  { label: 'Load by week', icon: 'i-lucide-weight', path: '/pace/load', isOfClass: true },
  { label: 'Term sheet to print', icon: 'i-lucide-printer', path: '/pace/sheet', isOfClass: true },
] as const
/** They come while the menu is being read. */
function opens(isOpen: boolean): void {
  if (isOpen) for (const { path } of PAGES) void preloadRouteComponents(path)
}

const items = computed(() => [
  PAGES.map(({ label, icon, path, isOfClass }) => ({
    label,
    icon,
    onSelect: () => void navigateTo({ path, query: isOfClass ? query.value : {} }),
  })),
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
