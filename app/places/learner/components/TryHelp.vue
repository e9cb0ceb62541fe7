<script setup lang="ts">
import { ref } from 'vue'
import type { Help } from '#core/attempts'
import type { OpenTry } from '#shared/contracts/learning'
import { toHtml } from '~/shared/words/markdown'
import PocketCalculator from './PocketCalculator.vue'

/** What may be used at any question of a try. */
const props = defineProps<{ help: readonly Help[]; example: OpenTry['example'] }>()
const hasCalculator = props.help.includes('calculator')
const isCounting = ref(false)
const isLooking = ref(false)
</script>

<template>
  <div class="help" data-hook="help">
    <UButton
      v-if="hasCalculator"
      size="sm"
      color="neutral"
      variant="outline"
      :aria-expanded="isCounting"
      data-hook="open-calculator"
      @click="
        () => {
          isCounting = !isCounting
        }
      "
      >Calculator</UButton
    >
    <UButton
      v-if="example"
      size="sm"
      color="neutral"
      variant="outline"
      data-hook="open-example"
      @click="
        () => {
          isLooking = true
        }
      "
      >Worked example</UButton
    >
    <div v-if="isCounting" class="w-full"><PocketCalculator @close="isCounting = false" /></div>
    <UModal v-if="example" v-model:open="isLooking" :title="example.title" description="A worked example">
      <template #body>
        <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
        <div class="prose" v-html="toHtml(example.content)" />
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.help {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding: 0 0 0.5rem;
}
</style>
