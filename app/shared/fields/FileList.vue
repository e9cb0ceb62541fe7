<script setup lang="ts" generic="F extends KeptFile">
import { addressOf } from '#core/library'
import type { KeptFile } from '#core/library'
import { saySize } from '../words/numbers'

/** Files by name, to be opened; `about` says more of each. */
defineProps<{ files: readonly F[]; about?: (file: F) => string }>()
</script>

<template>
  <ul class="grid gap-1">
    <li v-for="file in files" :key="file.id" class="flex flex-wrap gap-x-3 items-baseline">
      <a class="plain" :href="addressOf(file.id)" download target="_blank" rel="noopener">{{ file.name }}</a>
      <span class="said">{{ saySize(file.size) }}{{ about ? ` · ${about(file)}` : '' }}</span>
      <slot :file="file" />
    </li>
  </ul>
</template>
