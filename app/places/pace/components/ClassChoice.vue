<script setup lang="ts">
import type { ClassId } from '#core/base'
import type { DeskColumn } from '../stores/deskColumn'

/** The classes to look at, one of them chosen. */
defineProps<{ columns: readonly DeskColumn[]; chosen: ClassId | null }>()
const emit = defineEmits<{ choose: [id: ClassId] }>()
</script>

<template>
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="Class">
    <UButton
      v-for="c in columns"
      :key="c.of.id"
      size="xs"
      color="neutral"
      :variant="c.of.id === chosen ? 'solid' : 'subtle'"
      :aria-pressed="c.of.id === chosen"
      @click="emit('choose', c.of.id)"
      >{{ c.of.shortName }}</UButton
    >
  </div>
</template>
