<script setup lang="ts">
import { LearnerMenu } from '~/places/learner'
import { useKeptFocus } from '~/shared/frame/keptFocus'

// the learner's own, calmer frame
useKeptFocus()
</script>

<template>
  <div class="min-h-screen">
    <a class="skip" href="#main">Skip to the content</a>
    <header class="flex items-center gap-3 px-4 h-13 border-b border-default max-w-3xl mx-auto">
      <NuxtLink to="/learn" class="flex items-center gap-2 font-semibold" aria-label="Step Cairn, my work"
        ><img src="/cairn.svg" alt="" width="28" height="28" /><span class="display text-highlighted"
          >Step Cairn</span
        ></NuxtLink
      >
      <div class="flex-1" />
      <LearnerMenu />
    </header>
    <main id="main" tabindex="-1" class="mx-auto max-w-3xl px-4 pb-16 outline-none"><slot /></main>
  </div>
</template>
