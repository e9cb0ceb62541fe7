<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef } from 'vue'
import { same } from '#core/base'
import type { Resource } from '#core/library'
import { EMPTY_LAYER, LAYER_PARTS, mended, misfitsOf, partsIn } from '#core/versions'
import type { Layer, LayerPart, Misfit, Trail } from '#core/versions'
import type { Refusal } from '#shared/contracts/refusal'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { sayRefusal } from '~/shared/words/refusals'
import { PART_WORDS } from '../words/parts'
import CoreToMark from './CoreToMark.vue'
import LayerPartForm from './LayerPartForm.vue'
import LayerMisfits from './LayerMisfits.vue'
import VersionShown from './VersionShown.vue'

/** Null: it was left, because somebody else changed it. */
type Kept = { readonly ok: true } | { readonly ok: false; readonly error: Refusal } | null
/** One version: the core to mark, the parts that lie over it, and what learners then get. */
const props = defineProps<{
  core: Resource
  trail: Trail
  layer: Layer
  isMade: boolean
  /** The asker may take it off. */
  mayDrop: boolean
  others: readonly { readonly name: string; readonly layer: Layer }[]
  keep: (layer: Layer) => Promise<Kept>
  drop: () => Promise<Kept>
}>()
const tell = useTell()
const openDialog = useDialogs()
const draft = shallowRef<Layer>(props.layer)
/** Parts that were opened and are still empty. */
const opened = ref<LayerPart[]>([])
const busy = ref(false)
const problem = ref('')
const shown = computed(() => {
  const filled = partsIn(draft.value)
  return LAYER_PARTS.filter((part) => filled.includes(part) || opened.value.includes(part))
})
const absent = computed(() => LAYER_PARTS.filter((part) => !shown.value.includes(part)))
const misfits = computed(() => misfitsOf(props.core, draft.value))
const isChanged = computed(() => !same(draft.value, props.layer))

const editor = useTemplateRef<HTMLElement>('editor')
/** Goes to what the first selector finds that finds something. */
function focusOn(...selectors: readonly string[]): void {
  const found = selectors.flatMap((s) => editor.value?.querySelector<HTMLElement>(s) ?? [])
  found[0]?.focus()
}
async function open(part: LayerPart): Promise<void> {
  opened.value = [...opened.value, part]
  if (part === 'readAloud' || part === 'largerType') draft.value = { ...draft.value, [part]: true }
  await nextTick()
  const hook = `[data-hook="part-${part}"]`
  focusOn(`${hook} :is(textarea, input)`, `${hook} button`)
}
function clear(part: LayerPart): void {
  opened.value = opened.value.filter((p) => p !== part)
  const also = part === 'marks' ? { legend: EMPTY_LAYER.legend } : {}
  draft.value = { ...draft.value, [part]: EMPTY_LAYER[part], ...also }
}
function mend(misfit: Misfit): void {
  draft.value = mended(draft.value, misfit)
}
function beginWith(layer: Layer): void {
  draft.value = layer
}
async function save(): Promise<void> {
  busy.value = true
  const reply = await props.keep(draft.value)
  busy.value = false
  if (reply === null) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  opened.value = []
  // with what a colleague has added meanwhile
  await nextTick()
  draft.value = props.layer
  await nextTick()
  // the button could not keep the focus: on to what it has made
  focusOn('.result')
  tell.done('Saved. Learners who have not begun get it.')
}
async function remove(): Promise<void> {
  const sure = await openDialog<boolean, typeof ConfirmDialog>(ConfirmDialog, {
    title: `Remove the version “${props.trail.name}”?`,
    text: 'Learners who have not begun get the version with less support, or the piece as it is.',
    act: 'Remove it',
  })
  if (sure !== true) return
  const reply = await props.drop()
  if (reply === null) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  draft.value = EMPTY_LAYER
  opened.value = []
  tell.done('Removed.')
}
</script>

<template>
  <div ref="editor" class="editor">
    <section aria-label="The piece" class="pane">
      <h2>The piece</h2>
      <CoreToMark v-model="draft" :core="core" />
    </section>
    <section aria-label="What lies over it" class="pane parts">
      <h2>What lies over it</h2>
      <LayerMisfits v-if="misfits.length" :misfits="misfits" :core="core" @mend="mend" />
      <div v-for="part in shown" :key="part" class="part" :data-hook="`part-${part}`">
        <div class="head">
          <h3>{{ PART_WORDS[part].name }}</h3>
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            icon="i-lucide-x"
            :aria-label="`Take out: ${PART_WORDS[part].name}`"
            @click="clear(part)"
          />
        </div>
        <p class="said">{{ PART_WORDS[part].what }}</p>
        <LayerPartForm v-model="draft" :part="part" :core="core" />
      </div>
      <div v-if="absent.length" class="grid gap-1">
        <p class="said">
          {{ shown.length ? 'Add' : 'Nothing yet: these learners get the piece as it is. Add' }}
        </p>
        <div class="flex flex-wrap gap-1">
          <UButton
            v-for="part in absent"
            :key="part"
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-plus"
            :data-hook="`add-${part}`"
            @click="open(part)"
            >{{ PART_WORDS[part].name }}</UButton
          >
        </div>
        <div v-if="shown.length === 0 && others.length" class="flex flex-wrap gap-1 mt-2 items-center">
          <span class="said">or begin with</span>
          <UButton
            v-for="other in others"
            :key="other.name"
            size="xs"
            color="neutral"
            variant="outline"
            @click="beginWith(other.layer)"
            >what {{ other.name }} has</UButton
          >
        </div>
      </div>
      <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      <div class="acts">
        <UButton :loading="busy" :disabled="!isChanged" data-hook="keep-layer" @click="save">Save</UButton>
        <UButton v-if="isChanged" color="neutral" variant="ghost" @click="beginWith(layer)">Leave it</UButton>
        <span class="flex-1" />
        <UButton
          v-if="isMade && mayDrop"
          color="neutral"
          variant="ghost"
          data-hook="drop-layer"
          @click="remove"
          >Remove this version</UButton
        >
      </div>
    </section>
    <section aria-label="What learners get" class="pane result" tabindex="-1">
      <h2>What learners get</h2>
      <VersionShown :core="core" :layer="draft" />
    </section>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(18rem, 0.95fr) minmax(0, 1.1fr);
  gap: 1.4rem;
  align-items: start;
}
.pane {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.6rem;
  min-width: 0;
}
.result {
  overflow-wrap: break-word;
  padding: 0.9rem 1.1rem;
  border: 1px solid var(--ui-border);
  border-radius: 0.6rem 0.5rem 0.65rem 0.5rem;
  background: var(--stone-face);
}
.part {
  padding: 0.55rem 0 0.7rem;
  border-top: 1px solid var(--ui-border);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.acts {
  position: sticky;
  bottom: 0;
  display: flex;
  gap: 0.5rem;
  padding: 0.6rem 0;
  background: var(--ui-bg);
  border-top: 1px solid var(--ui-border);
}
@media (max-width: 640px) {
  .result {
    padding-inline: 0.5rem;
  }
}
@media (max-width: 1000px) {
  .editor {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
