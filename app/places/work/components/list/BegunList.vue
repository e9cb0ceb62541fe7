<script setup lang="ts">
import { useBegun } from '../../composables/keptDraft'
import { UNNAMED } from '../../starting'
import { sayMoment } from '~/shared/words/times'

/** Work that was begun on this machine and not sent: it is gone on with, or forgotten. */
defineProps<{ zone: string }>()
const { all, forget } = useBegun()
const nameOf = (title: string) => (title.trim() === '' ? UNNAMED : title)
</script>

<template>
  <section v-if="all.length" class="mt-4" aria-label="Begun and not sent" data-hook="begun">
    <h2>Begun, not sent <span class="said font-normal">Only on this machine</span></h2>
    <ul>
      <li v-for="b in all" :key="b.address" class="flex flex-wrap items-center gap-x-3 py-1">
        <NuxtLink class="plain" :to="b.address">{{ nameOf(b.draft.title) }}</NuxtLink>
        <span class="said">{{ sayMoment(b.at, zone) }}</span>
        <UButton
          size="xs"
          color="neutral"
          variant="link"
          :aria-label="`Forget ${nameOf(b.draft.title)}`"
          @click="forget(b.address)"
          >Forget</UButton
        >
      </li>
    </ul>
  </section>
</template>
