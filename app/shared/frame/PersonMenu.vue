<script setup lang="ts">
import { useColorMode } from '#imports'
import { computed } from 'vue'
import { useMe } from '../session/me'

const store = useMe()
const mode = useColorMode()
const dark = computed(() => mode.value === 'dark')
const items = computed(() => [
  [{ type: 'label' as const, label: store.me?.schoolName ?? '' }],
  [
    {
      label: dark.value ? 'Light colours' : 'Dark colours',
      icon: dark.value ? 'i-lucide-sun' : 'i-lucide-moon',
      onSelect: () => {
        mode.preference = dark.value ? 'light' : 'dark'
      },
    },
  ],
  [{ label: 'Your account', icon: 'i-lucide-user-round', to: '/account' }],
  [{ label: 'Sign out', icon: 'i-lucide-log-out', onSelect: () => void store.leave() }],
])
</script>

<template>
  <UDropdownMenu :items="items" :content="{ align: 'end' }">
    <UButton color="neutral" variant="ghost" trailing-icon="i-lucide-chevron-down" data-hook="person">{{
      store.me?.name
    }}</UButton>
  </UDropdownMenu>
</template>
