<script setup lang="ts">
import type { ClassId } from '#core/base'

/** The head of a page that one comes to from Evidence, and the way back to its class. */
defineProps<{ classId: ClassId | null; about?: string }>()
</script>

<template>
  <header>
    <p class="said">
      <NuxtLink class="plain" :to="{ path: '/evidence', query: classId ? { class: classId } : {} }"
        >Evidence</NuxtLink
      >
      <template v-if="about"> · {{ about }}</template>
    </p>
    <h1><slot /></h1>
  </header>
</template>
