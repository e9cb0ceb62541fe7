<script setup lang="ts">
import { ref } from 'vue'
import { MOST_KEPT_BYTES } from '#core/library'
import type { KeptFile } from '#core/library'
import { KeepFile } from '#shared/contracts/files'
import FilesField from '~/shared/fields/FilesField.vue'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** Files of a piece: sheets to print, recordings, films. */
const files = defineModel<KeptFile[]>({ required: true })
defineProps<{ isNeeded: boolean }>()
const busy = ref(false)
const problem = ref('')
async function keep(file: { readonly name: string; readonly base64: string }): Promise<void> {
  busy.value = true
  const reply = await call(KeepFile, { body: file })
  busy.value = false
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) files.value = [...files.value, reply.value]
}
function takeOut(file: KeptFile): void {
  files.value = files.value.filter((f) => f.id !== file.id)
}
</script>

<template>
  <section class="grid gap-2" aria-label="Files" data-hook="piece-files-form">
    <p v-if="isNeeded || files.length" class="said">
      Files that learners open or print; films and sound play on the page. Up to
      {{ MOST_KEPT_BYTES / 1_000_000 }} MB each.
    </p>
    <FilesField
      :files="files"
      may-add
      add-label="Add a file"
      go-label="Take out"
      :busy="busy"
      :problem="problem"
      @add="keep"
      @go="takeOut"
    />
  </section>
</template>
