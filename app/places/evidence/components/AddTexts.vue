<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { AssignmentId, ClassId, PieceId, UserId } from '#core/base'
import type { TextLeftOut } from '#core/formats'
import { MOST_KEPT_BYTES } from '#core/library'
import { AddTexts } from '#shared/contracts/evidence'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

/** Takes over texts that were written elsewhere: what each file holds is shown with its learner before it counts. */
const props = defineProps<{
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId; readonly classId: ClassId }
  learners: readonly { readonly id: UserId; readonly name: string }[]
}>()
const emit = defineEmits<{ close: [added: number] }>()
interface Row {
  readonly where: string
  readonly text: string
  readonly learnerId: UserId | null
}
const WHY: Readonly<Record<TextLeftOut['why'], string>> = {
  'not-text': 'is no text',
  empty: 'is empty',
  'too-long': 'is longer than 20,000 letters',
  'no-name': 'names nobody',
  'no-table': 'is no table with the columns “learner” and “text”',
}
const rows = shallowRef<readonly Row[]>([])
const faults = shallowRef<readonly string[]>([])
const problem = ref('')
const busy = ref(false)
const pasted = ref('')
const { open, onChange } = useFileDialog({ accept: '.txt,.md,.csv,.zip', multiple: true, reset: true })
onChange((list) => void read([...(list ?? [])]))

async function read(files: readonly File[]): Promise<void> {
  const { learnerNamed, readTexts } = await import('#core/formats')
  const found: Row[] = []
  const wrong: string[] = []
  for (const file of files) {
    if (file.size > MOST_KEPT_BYTES) {
      wrong.push(`“${file.name}” is larger than ${MOST_KEPT_BYTES / 1_000_000} MB.`)
      continue
    }
    const texts = readTexts(file.name, new Uint8Array(await file.arrayBuffer()))
    if (!texts.ok) wrong.push(`“${file.name}”: ${sayRefusal(texts.error)}`)
    else {
      wrong.push(...texts.value.leftOut.map((l) => `“${l.where}” ${WHY[l.why]}.`))
      for (const { where, who, text } of texts.value.texts)
        found.push({ where, text, learnerId: learnerNamed(who, props.learners)?.id ?? null })
    }
  }
  rows.value = [...rows.value, ...found]
  faults.value = wrong
}
function addPasted(): void {
  rows.value = [...rows.value, { where: 'pasted', text: pasted.value.trim(), learnerId: null }]
  pasted.value = ''
}
function choose(at: number, learnerId: string): void {
  rows.value = rows.value.map((r, i) => (i === at ? { ...r, learnerId: learnerId as UserId } : r))
}
function drop(at: number): void {
  rows.value = rows.value.filter((_, i) => i !== at)
}
const people = computed(() => props.learners.map((l) => ({ value: l.id as string, label: l.name })))
const isTwice = (row: Row) =>
  row.learnerId !== null && rows.value.filter((r) => r.learnerId === row.learnerId).length > 1
const openRows = computed(() => rows.value.filter((r) => r.learnerId === null || isTwice(r)).length)
async function add(): Promise<void> {
  const texts = rows.value.flatMap((r) => (r.learnerId ? [{ learnerId: r.learnerId, text: r.text }] : []))
  const { assignmentId, pieceId, classId } = props.of
  busy.value = true
  const reply = await call(AddTexts, { params: { assignmentId }, body: { pieceId, classId, texts } })
  busy.value = false
  if (reply.ok) emit('close', reply.value.added)
  else problem.value = sayRefusal(reply.error)
}
</script>

<template>
  <UModal
    title="Add texts"
    description="Written on paper or elsewhere. They count as handed in, and are scored like the others."
    :ui="{ content: 'max-w-3xl' }"
    @update:open="emit('close', 0)"
  >
    <template #body>
      <div class="grid gap-3">
        <div class="flex flex-wrap items-center gap-3">
          <UButton color="neutral" variant="outline" data-hook="choose-texts" @click="open()"
            >Choose files</UButton
          >
          <p class="said">
            Text files named by learner, a zip of them, or a table (CSV) with the columns “learner” and
            “text”.
          </p>
        </div>
        <UFormField label="Or paste one">
          <UTextarea v-model="pasted" :rows="2" autoresize class="w-full" name="pasted" />
        </UFormField>
        <UButton
          v-if="pasted.trim()"
          class="justify-self-start"
          size="xs"
          color="neutral"
          variant="outline"
          data-hook="add-pasted"
          @click="addPasted"
          >Take this text</UButton
        >
        <ul v-if="faults.length" class="note-line needs grid" role="alert" data-hook="text-faults">
          <li v-for="f in faults" :key="f">{{ f }}</li>
        </ul>
        <table v-if="rows.length" class="grid-table">
          <thead>
            <tr>
              <th scope="col">From</th>
              <th scope="col">Text</th>
              <th scope="col">Learner</th>
              <th scope="col"><span class="sr-only">Take out</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in rows" :key="i" data-hook="text-row">
              <td>{{ row.where }}</td>
              <td class="start">{{ row.text }}</td>
              <td>
                <USelect
                  class="w-44"
                  :items="people"
                  :model-value="row.learnerId ?? undefined"
                  placeholder="whose is it?"
                  :aria-label="`Learner of text ${i + 1}`"
                  @update:model-value="choose(i, $event)"
                />
                <p v-if="isTwice(row)" class="said">two texts for one learner</p>
              </td>
              <td>
                <UButton
                  size="xs"
                  color="neutral"
                  variant="ghost"
                  icon="i-lucide-x"
                  :aria-label="`Take out text ${i + 1}`"
                  @click="drop(i)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      </div>
    </template>
    <template #footer>
      <UButton
        :disabled="rows.length === 0 || openRows > 0"
        :loading="busy"
        data-hook="confirm-texts"
        @click="add"
        >{{ rows.length ? `Add ${count(rows.length, 'text')}` : 'Add' }}</UButton
      >
      <span v-if="openRows" class="said">{{ count(openRows, 'text') }} without a learner of its own</span>
    </template>
  </UModal>
</template>

<style scoped>
.start {
  max-width: 18rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
