<script setup lang="ts">
import { ref } from 'vue'
import { KEPT_NAMES, quickFile, quickPiece } from '#core/library'
import type { Resource } from '#core/library'
import { KeepFile } from '#shared/contracts/files'
import { MakePiece } from '#shared/contracts/library'
import type { PieceCard } from '#shared/contracts/library'
import ChooseFile from '~/shared/fields/ChooseFile.vue'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { useShelf } from '../stores/shelf'

/** A piece made of one line where one stands; it is on the shelf afterwards, with its lesson where that is known. */
const props = defineProps<{ bookLessonId: string | null }>()
const emit = defineEmits<{ made: [card: PieceCard] }>()
const shelf = useShelf()
const typed = ref('')
const isBusy = ref(false)
const problem = ref('')
const USUAL_GRADE = 8

const grade = () => shelf.books[0]?.grade ?? USUAL_GRADE
const ACCEPT = KEPT_NAMES.join(',')
async function make(): Promise<void> {
  const piece = quickPiece(typed.value, { grade: grade() })
  if (piece) await keep(piece)
  else problem.value = 'Say what it is, or paste an address.'
}
async function makeOfFile(file: { readonly name: string; readonly base64: string }): Promise<void> {
  isBusy.value = true
  const reply = await call(KeepFile, { body: file })
  isBusy.value = false
  if (reply.ok) await keep(quickFile(reply.value, { grade: grade() }))
  else problem.value = sayRefusal(reply.error)
}
async function keep(piece: Omit<Resource, 'id'>): Promise<void> {
  isBusy.value = true
  const reply = await call(MakePiece, { body: { ...piece, bookLessonId: props.bookLessonId } })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) {
    await shelf.load(true)
    const card = shelf.piece(reply.value.resourceId)
    typed.value = ''
    if (card) emit('made', card)
  }
  isBusy.value = false
}
</script>

<template>
  <form class="grid gap-1.5" data-hook="quick-piece" @submit.prevent="make">
    <label class="text-sm font-medium" for="quick-piece">Or something new, in a line</label>
    <div class="flex gap-2">
      <UInput
        id="quick-piece"
        v-model="typed"
        class="flex-1"
        name="quick-piece"
        maxlength="1000"
        placeholder="p. 84, 1 to 9, or https://…"
      />
      <UButton type="submit" variant="outline" color="neutral" :loading="isBusy">Make it</UButton>
    </div>
    <ChooseFile label="Or choose or drop a file" :accept="ACCEPT" :busy="isBusy" @chosen="makeOfFile" />
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else class="said">Learners say when they have done it. It stands on the shelf afterwards.</p>
  </form>
</template>
