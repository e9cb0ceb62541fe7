<script setup lang="ts">
import { ref } from 'vue'
import { MOST_FILES, MOST_KEPT_BYTES } from '#core/library'
import type { KeptFile } from '#core/library'
import { KeepFile } from '#shared/contracts/files'
import ChooseFile from '~/shared/fields/ChooseFile.vue'
import FileList from '~/shared/fields/FileList.vue'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** Files of a piece: sheets to print, recordings, films. */
const files = defineModel<KeptFile[]>({ required: true })
defineProps<{ isNeeded: boolean }>()
const ACCEPT =
  'application/pdf,.docx,.xlsx,.pptx,.odt,.ods,.odp,.txt,.md,.csv,image/*,audio/*,video/mp4,video/webm'
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
    <FileList v-if="files.length" :files="files">
      <template #default="{ file }">
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          :aria-label="`Take out ${file.name}`"
          data-hook="take-out-file"
          @click="takeOut(file)"
          >Take out</UButton
        >
      </template>
    </FileList>
    <ChooseFile
      v-if="files.length < MOST_FILES"
      label="Add a file"
      :accept="ACCEPT"
      :most-bytes="MOST_KEPT_BYTES"
      :busy="busy"
      @chosen="keep"
    />
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  </section>
</template>
