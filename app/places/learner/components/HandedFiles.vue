<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { AssignmentId, PieceId } from '#core/base'
import { MOST_KEPT_BYTES } from '#core/library'
import type { KeptFile } from '#core/library'
import { HandFile, TakeFileBack } from '#shared/contracts/files'
import type { MyFile } from '#shared/contracts/files'
import type { Refusal } from '#shared/contracts/refusal'
import ChooseFile from '~/shared/fields/ChooseFile.vue'
import FileList from '~/shared/fields/FileList.vue'
import { call } from '~/shared/wire/call'
import { isFileRefusal, sayFileRefusal } from '~/shared/words/fileRefusals'
import { sayMoment } from '~/shared/words/times'
import { sayForLearner } from '~/shared/words/tryRefusals'

/** Files that a learner hands in for a piece: sent at once, and taken back while the work is open. */
const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId
  files: readonly MyFile[]
  mayChange: boolean
  zone: string
}>()
const ACCEPT =
  'image/*,application/pdf,.docx,.xlsx,.pptx,.odt,.ods,.odp,.txt,.md,audio/*,video/mp4,video/webm'
const files = shallowRef(props.files)
watch(
  () => props.files,
  (now) => {
    files.value = now
  },
)
const busy = ref(false)
const problem = ref('')
const said = ref('')
async function send(file: { readonly name: string; readonly base64: string }): Promise<void> {
  const { assignmentId, pieceId } = props
  await heard(
    () => call(HandFile, { params: { assignmentId }, body: { pieceId, ...file } }),
    `“${file.name}” is handed in.`,
  )
}
async function takeBack(file: KeptFile): Promise<void> {
  const { assignmentId, pieceId } = props
  const params = { assignmentId, fileId: file.id }
  await heard(() => call(TakeFileBack, { params, body: { pieceId } }), `“${file.name}” is taken back.`)
}
async function heard(ask: () => ReturnType<typeof call<typeof HandFile>>, words: string): Promise<void> {
  busy.value = true
  problem.value = ''
  const reply = await ask()
  busy.value = false
  problem.value = reply.ok ? '' : sayProblem(reply.error)
  said.value = reply.ok ? words : ''
  if (reply.ok) files.value = reply.value.files
}
function sayProblem(refusal: Refusal): string {
  return isFileRefusal(refusal) ? sayFileRefusal(refusal) : sayForLearner(refusal, { zone: props.zone })
}
const about = (_: KeptFile, i: number) => {
  const file = files.value[i]
  if (!file) return ''
  return `${file.by === null ? '' : `${file.by}, `}${sayMoment(file.handedAt, props.zone)}`
}
</script>

<template>
  <section v-if="mayChange || files.length" class="handed" aria-label="Your files" data-hook="handed-files">
    <h2 class="text-base">Your files</h2>
    <p v-if="!files.length" class="said">
      Hand in pictures, documents, sound or film, up to {{ MOST_KEPT_BYTES / 1_000_000 }} MB each. Your
      teacher sees them at once.
    </p>
    <FileList :files="files" :about="about">
      <template #default="{ file }">
        <UButton
          v-if="mayChange && files.find((f) => f.id === file.id)?.by === null"
          size="xs"
          color="neutral"
          variant="ghost"
          :disabled="busy"
          :aria-label="`Take back ${file.name}`"
          data-hook="take-file-back"
          @click="takeBack(file)"
          >Take back</UButton
        >
      </template>
    </FileList>
    <ChooseFile
      v-if="mayChange"
      label="Hand in a file"
      :accept="ACCEPT"
      :most-bytes="MOST_KEPT_BYTES"
      :busy="busy"
      @chosen="send"
    />
    <p role="status" class="said">{{ said }}</p>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.handed {
  display: grid;
  gap: 0.5rem;
  padding: 0.8rem 0;
  margin: 1rem 0;
  border-block: 1px solid var(--ui-border);
}
</style>
