<script setup lang="ts">
import { ref } from 'vue'
import { TakeSamples } from '#shared/contracts/files'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { useShelf } from '../stores/shelf'

/** How something comes onto a shelf on which nothing stands. */
const shelf = useShelf()
const tell = useTell()
const busy = ref(false)
async function take(): Promise<void> {
  busy.value = true
  const reply = await call(TakeSamples, { body: {} })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  const { books, pieces } = reply.value
  tell.done(`${count(books, 'textbook')} with ${count(pieces, 'piece')}. Under Files they are taken back.`)
  await shelf.load(true)
}
</script>

<template>
  <div class="grid gap-2 mb-3" data-hook="empty-shelf">
    <p class="said">
      The shelf is empty.
      <NuxtLink class="plain" to="/shelf-files">Bring in a book or questions</NuxtLink> from a file,
      <NuxtLink class="plain" to="/shelf-own">write a first piece</NuxtLink>, or
      <NuxtLink class="plain" to="/work/new">assign something in a line</NuxtLink>: it stands here afterwards.
    </p>
    <UButton
      class="justify-self-start"
      size="sm"
      color="neutral"
      variant="outline"
      :loading="busy"
      data-hook="take-samples"
      @click="take"
      >Take the sample textbooks</UButton
    >
  </div>
</template>
