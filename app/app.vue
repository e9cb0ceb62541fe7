<script setup lang="ts">
// the outermost frame: overlays, toasts, the layout of the page
</script>

<template>
  <UApp>
    <NuxtLayout>
      <NuxtPage />
    </NuxtLayout>
  </UApp>
</template>
