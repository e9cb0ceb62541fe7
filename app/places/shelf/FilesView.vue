<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { ShelfReading, TableSeen } from '#core/formats'
import {
  ListFrameworks,
  ListImports,
  MOST_FILE_BYTES,
  MakeImport,
  PreviewImport,
  TakeImportBack,
} from '#shared/contracts/files'
import type { ImportMade } from '#shared/contracts/files'
import { carry } from '~/shared/fields/carriedFile'
import type { ReadAt } from '~/shared/fields/carriedFile'
import { useColumnsKept } from '~/shared/fields/columnsKept'
import WhichColumn from '~/shared/fields/WhichColumn.vue'
import { useOverview } from '~/shared/session/overview'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'
import FileRows from './components/FileRows.vue'
import FoundOutline from './components/FoundOutline.vue'
import { useShelf } from './stores/shelf'
import { FORMAT_WORDS, QUESTION_COLUMN_WORDS } from './words/shortfalls'
import { sayList } from '~/shared/words/lists'
import { toBase64 } from '~/shared/wire/base64'

useHead({ title: 'Files' })
const overview = useOverview()
const shelf = useShelf()
const tell = useTell()
const file = ref<File | null>(null)
/** A field that was used is made anew: the same file chosen once more would be no change to it. */
const chosenCount = ref(0)
const asked = shallowRef<{ readonly name: string; readonly base64: string } | null>(null)
const reading = shallowRef<ShelfReading | null>(null)
const problem = ref('')
const isReading = ref(false)
/** Of a table of questions: how its columns were taken. */
const table = shallowRef<TableSeen | null>(null)
const columns = useColumnsKept('questions')
/** Where a file is read that is nothing for the shelf. */
const elsewhere = shallowRef<ReadAt | null>(null)
let lastChosen: File | null = null
const ELSEWHERE: Record<ReadAt, { readonly to: string; readonly label: string }> = {
  calendar: { to: '/classes/year', label: 'Read it with the school year' },
  roster: { to: '/classes', label: 'Read it with its class' },
}
const isTaking = ref(false)
const imports = shallowRef<readonly ImportMade[]>([])
const frameworks = shallowRef<readonly { readonly id: string; readonly title: string }[]>([])
onMounted(async () => {
  await overview.load()
  await Promise.all([loadMade(), shelf.load()])
})
async function loadMade(): Promise<void> {
  const [made, known] = await Promise.all([call(ListImports), call(ListFrameworks)])
  if (made.ok) imports.value = made.value.imports
  if (known.ok) frameworks.value = known.value.frameworks
}
watch(file, async (chosen) => {
  if (!chosen) return
  lastChosen = chosen
  file.value = null
  chosenCount.value++
  reading.value = null
  table.value = null
  elsewhere.value = null
  problem.value = ''
  if (chosen.size > MOST_FILE_BYTES) {
    problem.value = `“${chosen.name}” is larger than ${MOST_FILE_BYTES / 1_000_000} MB. Take it in several parts.`
    return
  }
  isReading.value = true
  columns.chosen.value = null
  asked.value = { name: chosen.name, base64: await toBase64(chosen) }
  await read()
})
/** Brings the file along to where it is read. */
async function bring(to: ReadAt): Promise<void> {
  if (lastChosen) carry(to, lastChosen)
  await navigateTo(ELSEWHERE[to].to)
}
const body = () => asked.value && { ...asked.value, columns: columns.chosen.value }
async function read(): Promise<void> {
  const file = asked.value
  const sent = body()
  if (!sent) return
  isReading.value = true
  const reply = await call(PreviewImport, { body: sent })
  if (asked.value !== file) return
  isReading.value = false
  reading.value = reply.ok ? reply.value : null
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  elsewhere.value = !reply.ok && 'place' in reply.error ? reply.error.place : null
  const unread = !reply.ok && 'table' in reply.error ? reply.error.table : null
  table.value = (reply.ok ? reply.value.table : unread) ?? null
  const before = table.value && columns.known(table.value)
  if (before) await choose(before)
}
async function choose(at: Readonly<Record<string, number>>): Promise<void> {
  if (table.value) columns.choose(table.value, at)
  await read()
}
function cancel(): void {
  asked.value = null
  reading.value = null
  table.value = null
  isReading.value = false
}
const sum = computed(() => {
  const items = reading.value?.pieces.reduce((n, p) => n + p.items.length, 0) ?? 0
  const texts = reading.value?.pieces.filter((p) => p.items.length === 0).length ?? 0
  const lessons = reading.value?.book?.units.reduce((n, u) => n + u.lessons.length, 0) ?? 0
  return [
    ...(lessons > 0 ? [`a textbook of ${count(lessons, 'lesson')}`] : []),
    ...(texts > 0 ? [count(texts, 'text')] : []),
    ...(items > 0 ? [count(items, 'question')] : []),
    ...(reading.value?.standards.length ? [count(reading.value.standards.length, 'standard')] : []),
  ].join(', ')
})
const whose = computed(() => {
  if (reading.value?.book) return 'The textbook is there for the school, its pieces are yours to change.'
  if (reading.value?.standards.length) return 'Standards are there for the school.'
  return 'Pieces become your own.'
})
async function take(): Promise<void> {
  const sent = body()
  if (!sent) return
  isTaking.value = true
  const reply = await call(MakeImport, { body: sent })
  isTaking.value = false
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  tell.done(`Taken over: ${sum.value}. You can take it back below.`)
  cancel()
  await Promise.all([loadMade(), shelf.load(true)])
}
async function takeBack(made: ImportMade): Promise<void> {
  const reply = await call(TakeImportBack, { params: { importId: made.id } })
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`“${made.name}” is taken back.`)
  await Promise.all([loadMade(), shelf.load(true)])
}
function about(made: ImportMade): string {
  const parts = [
    ...(made.hasBook ? ['a textbook'] : []),
    ...(made.pieces ? [count(made.pieces, 'piece')] : []),
    ...(made.hasStandards ? ['standards'] : []),
  ]
  return `${sayList(parts)}, ${sayMoment(made.madeAt, overview.zone)}`
}
</script>

<template>
  <div class="max-w-5xl mx-auto px-5 py-5 grid gap-5">
    <header>
      <h1>Files</h1>
      <p class="said">
        Textbooks as EPUB, Common Cartridge or a table with Unit, Lesson and Meetings (.csv); questions as QTI
        3.0, 2.1 or 1.2 (.xml, .zip) or as a table (.csv); standards as CASE 1.0 (.json); readings in Markdown
        (.md, several as .zip). What a file holds is shown before anything is taken over.
      </p>
    </header>
    <UFileUpload
      :key="chosenCount"
      v-model="file"
      accept=".xml,.zip,.imscc,.epub,.json,.csv,.tsv,.txt,.md,.ics"
      label="Choose a file, or drop it here"
      description="at most 20 MB"
      class="min-h-28"
      aria-label="Choose a file"
      data-hook="file-drop"
    />
    <p v-if="isReading" class="flex items-center gap-3" role="status">
      Reading “{{ asked?.name }}” …
      <UButton size="xs" color="neutral" variant="outline" @click="cancel">Cancel</UButton>
    </p>
    <p v-if="problem" class="note-line needs" role="alert">
      {{ problem }}
      <UButton v-if="elsewhere" size="xs" variant="outline" data-hook="elsewhere" @click="bring(elsewhere)">{{
        ELSEWHERE[elsewhere].label
      }}</UButton>
    </p>
    <WhichColumn
      v-if="table"
      :table="table"
      :names="QUESTION_COLUMN_WORDS"
      :is-needed="!reading || reading.pieces.length === 0"
      @choose="choose"
    />
    <section v-if="reading" aria-label="What the file holds" data-hook="reading">
      <h2>“{{ reading.title }}”: {{ FORMAT_WORDS[reading.format] }}</h2>
      <p class="my-2">
        {{ sum ? `Would be taken over: ${sum}. ${whose}` : 'Nothing of it can be taken over.' }}
      </p>
      <div class="flex gap-2 mb-3">
        <UButton :disabled="!sum" :loading="isTaking" data-hook="take-over" @click="take"
          >Take it over</UButton
        >
        <UButton color="neutral" variant="ghost" @click="cancel">Leave it</UButton>
      </div>
      <FoundOutline v-if="reading.book" :units="reading.book.units" class="mb-3" />
      <FileRows :rows="reading.rows" />
    </section>
    <section v-if="imports.length" aria-label="Taken over so far">
      <h2>Taken over so far</h2>
      <ul>
        <li v-for="made in imports" :key="made.id" class="line">
          <span class="flex-1"
            ><b>{{ made.name }}</b> <span class="said">{{ about(made) }}</span></span
          >
          <span v-if="made.takenBackAt" class="said">taken back</span>
          <UButton
            v-else
            size="xs"
            color="neutral"
            variant="outline"
            :aria-label="`Take back ${made.name}`"
            data-hook="take-back"
            @click="takeBack(made)"
            >Take it back</UButton
          >
        </li>
      </ul>
    </section>
    <section v-if="frameworks.length" aria-label="Out as a file">
      <h2>Out as a file</h2>
      <ul>
        <li v-for="book in shelf.books" :key="book.id" class="line">
          <span class="flex-1">{{ book.title }}</span>
          <a class="plain text-sm" :href="`/api/books/${book.id}/file`" download>Outline as a table</a>
        </li>
        <li v-for="f in frameworks" :key="f.id" class="line">
          <span class="flex-1">{{ f.title }}</span>
          <a class="plain text-sm" :href="`/api/frameworks/${f.id}/file`" download>CASE 1.0</a>
        </li>
      </ul>
      <p class="said">A piece goes out from its own menu on the shelf.</p>
    </section>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--ui-border);
}
</style>
