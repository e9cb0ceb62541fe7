<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { watchDebounced } from '@vueuse/core'
import type { Correction } from '#core/attempts'
import { same } from '#core/base'
import type { AssignmentId, PieceId } from '#core/base'
import { hasPlainKey, optionsOf, rightOptions, takes, toTyped, withKey } from '#core/library'
import type { Item } from '#core/library'
import { PreviewRegrade } from '#shared/contracts/regrading'
import type { Mending, Regrading } from '#shared/contracts/regrading'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { call } from '~/shared/wire/call'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { sayRefusal } from '~/shared/words/refusals'
import { MENDING_ITEMS, sayRegrading, sayScoreChange } from '../itemWords'
import type { MendingKind } from '../itemWords'

/** How a question is put right, and whose score that changes; answers with it, or null. */
const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId
  version: number
  item: Item
  number: number
  /** What was put right already. */
  correction: Correction | null
}>()
const emit = defineEmits<{ close: [mending: Mending | null] }>()
const canKey = hasPlainKey(props.item)
const ways = MENDING_ITEMS.filter(
  ({ value }) => (value !== 'key' || canKey) && (value !== 'as-given' || props.correction !== null),
).map((way) => ({ ...way, hook: `mend-${way.value}` }))
const way = ref<MendingKind>(canKey ? 'key' : 'credit')
const options = optionsOf(props.item)
const isOne = takes(props.item.kind, 'option-or-none')
const rights = shallowRef<readonly string[]>(rightOptions(props.item))
const typed = shallowRef(toTyped(props.item))
const fields = Object.keys(typed.value).filter((name) => name !== 'unit')
const labelOf = (name: string) => ITEM_KIND_WORDS[props.item.kind].fields[name]?.label ?? name
function tick(id: string, isOn: boolean): void {
  rights.value = isOn ? [...rights.value, id] : rights.value.filter((r) => r !== id)
}
const mending = computed<Mending>(() =>
  way.value === 'key'
    ? { kind: 'key', item: withKey(props.item, { rights: rights.value, typed: typed.value }) }
    : { kind: way.value },
)
/** Nothing is other than it is now. */
const isAsNow = computed(() => {
  const { item, correction } = props
  const isKeyed = correction === null || correction.kind === 'key'
  if (mending.value.kind === 'key') return isKeyed && same(mending.value.item, item)
  return mending.value.kind === correction?.kind
})
const found = shallowRef<Regrading | null>(null)
const problem = ref('')
// what was found for another choice must not be taken for this one
watch(mending, () => {
  found.value = null
  problem.value = ''
})
watchDebounced(
  mending,
  async (now) => {
    const { assignmentId, pieceId, version, item } = props
    const body = { version, pieceId, itemId: item.id, mending: now }
    const reply = await call(PreviewRegrade, { params: { assignmentId }, body })
    if (now !== mending.value) return
    found.value = reply.ok ? reply.value : null
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
  },
  { debounce: 250, immediate: true },
)
</script>

<template>
  <UModal
    :title="`Put question ${number} right`"
    description="For all who were given it in this work. Undo takes it back; the shelf stays as it is."
    :close="false"
    @update:open="emit('close', null)"
  >
    <template #body>
      <ChoiceButtons v-model="way" label="How" :items="ways" class="mb-3" />
      <template v-if="way === 'key'">
        <URadioGroup
          v-if="isOne"
          :model-value="rights[0] ?? ''"
          :items="options.map((o) => ({ value: o.id, label: o.text }))"
          legend="What is right"
          class="mb-3"
          data-hook="right-one"
          @update:model-value="
            (id) => {
              rights = [String(id)]
            }
          "
        />
        <ul v-else-if="options.length" class="grid gap-1.5 mb-3" data-hook="right-ones">
          <li v-for="o in options" :key="o.id">
            <UCheckbox
              :model-value="rights.includes(o.id)"
              :label="o.text"
              @update:model-value="tick(o.id, $event === true)"
            />
          </li>
        </ul>
        <UFormField v-for="name in fields" v-else :key="name" :label="labelOf(name)" class="mb-2"
          ><UInput
            :model-value="typed[name] ?? ''"
            :name="name"
            @update:model-value="
              (next) => {
                typed = { ...typed, [name]: String(next) }
              }
            "
        /></UFormField>
      </template>
      <p v-if="problem" class="note-line needs" role="alert" data-hook="cannot-mend">{{ problem }}</p>
      <template v-else-if="found">
        <p role="status" data-hook="regrading">{{ sayRegrading(found) }}</p>
        <ul class="text-sm max-h-56 overflow-auto mt-1" tabindex="0" aria-label="Scores that change">
          <li v-for="c in found.changes" :key="`${c.learnerId} ${c.number}`">{{ sayScoreChange(c) }}</li>
        </ul>
      </template>
      <p v-else class="said">Looking …</p>
    </template>
    <template #footer>
      <UButton
        size="md"
        :disabled="!found || isAsNow || problem !== ''"
        data-hook="mend-confirm"
        @click="emit('close', mending)"
        >Put it right</UButton
      >
      <UButton size="md" color="neutral" variant="ghost" @click="emit('close', null)">Leave it</UButton>
    </template>
  </UModal>
</template>
