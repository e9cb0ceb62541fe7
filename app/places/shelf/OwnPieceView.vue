<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { ResourceId } from '#core/base'
import { cardOfKind } from '#core/library'
import type { ReplyOf } from '#shared/contracts/contract'
import type { ChangePiece } from '#shared/contracts/library'
import { LookInside, MakePiece } from '#shared/contracts/library'
import { openedAs, useChangePiece } from './composables/changePiece'
import type { OpenedPiece } from './composables/changePiece'
import { newDraft } from './itemDraft'
import { emptyPiece, firstItems, toPieceDraft, toWritten } from './pieceDraft'
import type { PieceDraft } from './pieceDraft'
import { useAddress } from '~/shared/frame/address'
import FoldButton from '~/shared/frame/FoldButton.vue'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { useContractForm } from '~/shared/fields/form'
import type { Fault } from '~/shared/fields/form'
import { useTell } from '~/shared/frame/tell'
import { sayRefusal } from '~/shared/words/refusals'
import { useMe } from '~/shared/session/me'
import { useShelf } from './stores/shelf'
import { call } from '~/shared/wire/call'
import ItemForm from './components/ItemForm.vue'
import PieceFields from './components/PieceFields.vue'
import MaterialForm from './components/MaterialForm.vue'
import PieceFiles from './components/PieceFiles.vue'
import PieceText from './components/PieceText.vue'

useHead({ title: 'Own piece' })
const address = useAddress()
/** The piece that is changed; null while a new one is written. */
const changed = address.id<ResourceId>('piece')
// kept on this machine until saved, so that leaving or a lost connection costs nothing
const written = useLocalStorage<PieceDraft>(`own-piece 5 ${useMe().me?.userId ?? ''}`, emptyPiece(), {
  listenToStorageChanges: false,
  mergeDefaults: true,
})
const form = changed ? ref<PieceDraft>(emptyPiece()) : written
let opened: OpenedPiece | null = null
const changePiece = useChangePiece()
const missing = ref('')
const tell = useTell()
onMounted(async () => {
  if (!changed) return
  const reply = await call(LookInside, { params: { resourceId: changed } })
  if (!reply.ok) {
    missing.value = sayRefusal(reply.error)
    return
  }
  opened = openedAs(reply.value)
  form.value = toPieceDraft(reply.value.resource)
  await nextTick()
  isLoaded.value = true
})
const shelf = useShelf()
onMounted(() => void shelf.load())
const hasItems = computed(() => cardOfKind(form.value.kind).items !== 'none')
const isAsked = computed(() => cardOfKind(form.value.kind).items === 'needed')
const MARKDOWN = String.raw`Markdown: **bold**, lists, tables; formulas as $v = f \lambda$.`
/** Most checks have no text before their questions. */
const hasText = ref(false)
const textHelp = computed(() => (isAsked.value ? `Shown before the questions. ${MARKDOWN}` : MARKDOWN))
const isLoaded = ref(!changed)
// another kind begins with what it needs; what was written stays
watch(
  () => form.value.kind,
  (kind) => {
    if (isLoaded.value) form.value.items = firstItems(kind, form.value.items)
  },
)
const WORDS: Record<string, string> = {
  title: 'Title',
  minutes: 'Minutes',
  grade: 'Grade',
  code: 'Short code',
  content: 'Text',
  'material.link': 'Address',
}

/** Adds a question of the kind just written and goes to it. */
async function addItem(): Promise<void> {
  form.value.items.push(newDraft(form.value.items.at(-1)?.kind))
  await nextTick()
  const stem = document.querySelector<HTMLElement>(`[name="stem-${form.value.items.length}"]`)
  stem?.scrollIntoView({ block: 'center' })
  stem?.focus({ preventScroll: true })
}

const ITEM_WORDS: Record<string, string> = {
  stem: 'the question is empty',
  value: 'the right number cannot be read',
  tolerance: 'the tolerance cannot be read',
}
/** A fault at its field, be it the piece's or a question's. */
function say(field: string, problem: string): Fault {
  if (field in WORDS) return { name: field, message: `${WORDS[field]} ${problem}.` }
  const [, number, part = ''] = /^items\.(\d+)\.(\w+)/.exec(field) ?? []
  if (number === undefined) return { name: null, message: `${field} ${problem}.` }
  const words = ITEM_WORDS[part]
  return {
    name: words ? `items.${number}.${part}` : null,
    message: `Question ${Number(number) + 1}: ${words ?? `${part} ${problem}`}.`,
  }
}
const bodyOf = () => toWritten(form.value)
/** A new piece has a name; one that was changed says whether it is a new form. */
type Saved = ReplyOf<typeof MakePiece> | ReplyOf<typeof ChangePiece>
const asking = useContractForm<Saved>({
  schema: MakePiece.body,
  body: bodyOf,
  say,
  send: () =>
    changed ? changePiece(changed, { mine: bodyOf(), opened }) : call(MakePiece, { body: bodyOf() }),
  done: async (reply) => {
    const resourceId = 'resourceId' in reply ? reply.resourceId : changed
    if ('isNewForm' in reply && reply.isNewForm)
      tell.done('Saved as a new form. Work that is given out keeps the former one until you say otherwise.')
    if (!changed) written.value = emptyPiece()
    await shelf.load(true)
    await navigateTo({ path: '/shelf', query: { piece: resourceId } })
  },
})
</script>

<template>
  <ContractForm class="max-w-6xl mx-auto px-5 py-5 grid gap-4" :form="asking" :state="form">
    <h1>{{ changed ? 'Change this piece' : 'Write an own piece' }}</h1>
    <p v-if="missing" class="note-line needs" role="alert">{{ missing }}</p>
    <PieceFields v-model="form" />
    <MaterialForm v-model="form" />
    <PieceFiles v-model="form.files" :is-needed="cardOfKind(form.kind).needsFile" />
    <FoldButton v-if="isAsked && form.content === ''" v-model="hasText" data-hook="piece-text"
      >Text before the questions</FoldButton
    >
    <PieceText v-if="!isAsked || hasText || form.content !== ''" v-model="form.content" :help="textHelp" />
    <template v-if="hasItems">
      <ItemForm
        v-for="(_, i) in form.items"
        :key="i"
        v-model="form.items[i]!"
        :number="i + 1"
        :alone="isAsked && form.items.length === 1"
        :standards="shelf.shelf?.standards.filter((s) => s.level === 'standard') ?? []"
        @remove="form.items.splice(i, 1)"
      />
      <UButton
        class="justify-self-start"
        color="neutral"
        variant="outline"
        icon="i-lucide-plus"
        data-hook="add-item"
        @click="addItem"
        >Add a question</UButton
      >
    </template>
    <template #problem="{ problem }">
      <div class="flex gap-3 flex-wrap sticky bottom-0 py-3 bg-default border-t border-default">
        <p v-if="problem" class="note-line needs w-full" role="alert">{{ problem }}</p>
        <UButton type="submit" size="md" :loading="asking.isSending.value" data-hook="save-piece">{{
          changed ? 'Save the piece' : 'Put it on the shelf'
        }}</UButton><UButton size="md" color="neutral" variant="ghost" to="/shelf">Back to the shelf</UButton
        ><span v-if="!changed" class="said self-center">Kept on this machine while you write.</span>
      </div>
    </template>
  </ContractForm>
</template>
