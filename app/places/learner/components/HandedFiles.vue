<script setup lang="ts">
import { computed, ref } from 'vue'
import { MOST_KEPT_BYTES } from '#core/library'
import { mayHandFiles } from '#core/work'
import type { MyFile } from '#core/work'
import { HandFile, TakeFileBack } from '#shared/contracts/files'
import type { MyPiece } from '#shared/contracts/learning'
import type { Refusal } from '#shared/contracts/refusal'
import FilesField from '~/shared/fields/FilesField.vue'
import { call } from '~/shared/wire/call'
import { isFileRefusal, sayFileRefusal } from '~/shared/words/fileRefusals'
import { sayMoment } from '~/shared/words/times'
import { sayForLearner } from '~/shared/words/tryRefusals'

/** Files that a learner hands in for a piece: sent at once, and taken back while the work is open. */
const props = defineProps<{ of: MyPiece; files: readonly MyFile[] }>()
const emit = defineEmits<{ changed: [files: readonly MyFile[]] }>()
const mayChange = computed(() => mayHandFiles(props.of.piece, props.of.now).ok)
const busy = ref(false)
const problem = ref('')
const said = ref('')
const which = computed(() => ({ assignmentId: props.of.work.id, pieceId: props.of.piece.pieceId }))
function send(file: { readonly name: string; readonly base64: string }): Promise<void> {
  const { assignmentId, pieceId } = which.value
  const asked = call(HandFile, { params: { assignmentId }, body: { pieceId, ...file } })
  return hear(asked, `“${file.name}” is handed in.`)
}
function takeBack(file: MyFile): Promise<void> {
  const { assignmentId, pieceId } = which.value
  const asked = call(TakeFileBack, { params: { assignmentId, fileId: file.id }, body: { pieceId } })
  return hear(asked, `“${file.name}” is taken back.`)
}
async function hear(asked: ReturnType<typeof call<typeof HandFile>>, words: string): Promise<void> {
  busy.value = true
  problem.value = ''
  const reply = await asked
  busy.value = false
  problem.value = reply.ok ? '' : sayProblem(reply.error)
  said.value = reply.ok ? words : ''
  if (reply.ok) emit('changed', reply.value.files)
}
function sayProblem(refusal: Refusal): string {
  return isFileRefusal(refusal) ? sayFileRefusal(refusal) : sayForLearner(refusal, { zone: props.of.zone })
}
const isOwn = (file: MyFile) => file.by === null
function about({ by, handedAt }: MyFile): string {
  return `${by === null ? '' : `${by}, `}${sayMoment(handedAt, props.of.zone)}`
}
</script>

<template>
  <section v-if="mayChange || files.length" class="handed" aria-label="Your files" data-hook="handed-files">
    <h2 class="text-base">Your files</h2>
    <p v-if="!files.length" class="said">
      Hand in pictures, documents, sound or film, up to {{ MOST_KEPT_BYTES / 1_000_000 }} MB each. Your
      teacher sees them at once.
    </p>
    <FilesField
      :files="files"
      :about="about"
      :may-go="(file) => mayChange && isOwn(file)"
      :may-add="mayChange"
      add-label="Hand in a file"
      go-label="Take back"
      :busy="busy"
      :problem="problem"
      @add="send"
      @go="takeBack"
    />
    <p role="status" class="said">{{ said }}</p>
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
