<script setup lang="ts">
import { ref } from 'vue'
import type { ResourceId } from '#core/base'
import FormDifference from './FormDifference.vue'

/** Former forms of a piece that was given out, each with what differs from the one there is now. */
defineProps<{ resourceId: ResourceId; forms: readonly number[] }>()
const shown = ref<number | null>(null)
</script>

<template>
  <section class="my-3 grid gap-2" aria-label="Former forms" data-hook="former-forms">
    <p class="said">Work that was given out before keeps the form it had.</p>
    <div v-for="(form, i) in forms" :key="form">
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        :aria-expanded="shown === form"
        data-hook="former-form"
        @click="
          () => {
            shown = shown === form ? null : form
          }
        "
        >{{ shown === form ? 'Hide' : 'See' }} what changed since form {{ i + 1 }}</UButton
      >
      <FormDifference v-if="shown === form" class="mt-2" :resource-id="resourceId" :revision="form" />
    </div>
  </section>
</template>
