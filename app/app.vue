<script setup lang="ts">
import { defineFormula } from '~/shared/frame/formula'

defineFormula()
// the outermost frame: overlays, toasts, the layout of the page
</script>

<template>
  <UApp>
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </UApp>
</template>
