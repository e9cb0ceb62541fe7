<script setup lang="ts">
import { computed } from 'vue'
import { clearError } from '#imports'

const props = defineProps<{ error: { statusCode?: number } }>()
const missing = computed(() => props.error.statusCode === 404)
</script>

<template>
  <main class="mx-auto max-w-xl px-6 pt-[18vh]">
    <img src="/cairn.svg" alt="" class="mb-6 size-12" />
    <h1>{{ missing ? 'There is nothing at this address.' : 'This page broke.' }}</h1>
    <p class="mt-3 mb-6">
      {{
        missing
          ? 'Check the address, or go to the start page.'
          : 'Nothing you saved is lost. Go to the start page and try again.'
      }}
    </p>
    <UButton size="md" @click="clearError({ redirect: '/' })">Start page</UButton>
  </main>
</template>
