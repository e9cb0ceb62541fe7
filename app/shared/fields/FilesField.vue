<script setup lang="ts" generic="F extends KeptFile">
import { KEPT_NAMES, MOST_FILES } from '#core/library'
import type { KeptFile } from '#core/library'
import ChooseFile from './ChooseFile.vue'
import FileList from './FileList.vue'

/** Files that somebody gathers: each can be taken out again, until there are as many as there may be. */
defineProps<{
  files: readonly F[]
  about?: (file: F) => string
  /** Whether one may go again; all may, when it is left out. */
  mayGo?: (file: F) => boolean
  mayAdd: boolean
  addLabel: string
  goLabel: string
  busy: boolean
  problem: string
}>()
const emit = defineEmits<{ add: [file: { readonly name: string; readonly base64: string }]; go: [file: F] }>()
const ACCEPT = KEPT_NAMES.join(',')
</script>

<template>
  <FileList v-if="files.length" :files="files" :about="about">
    <template #default="{ file }">
      <UButton
        v-if="mayGo?.(file) ?? true"
        size="xs"
        color="neutral"
        variant="ghost"
        :disabled="busy"
        :aria-label="`${goLabel} ${file.name}`"
        data-hook="file-goes"
        @click="emit('go', file)"
        >{{ goLabel }}</UButton
      >
    </template>
  </FileList>
  <ChooseFile
    v-if="mayAdd && files.length < MOST_FILES"
    :label="addLabel"
    :accept="ACCEPT"
    :busy="busy"
    @chosen="emit('add', $event)"
  />
  <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
</template>
