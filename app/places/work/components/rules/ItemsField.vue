<script setup lang="ts">
import { computed } from 'vue'
import type { AttemptRules, BankPart, ItemChoice } from '#core/attempts'
import { count } from '~/shared/words/numbers'
import { wholeOrNull } from './numberField'
import ShareRows from './ShareRows.vue'

const props = defineProps<{
  bank: readonly BankPart[]
  items: ItemChoice
  order: AttemptRules['order']
}>()
const emit = defineEmits<{ change: [part: Partial<AttemptRules>] }>()

const inBank = computed(() => props.bank.reduce((sum, p) => sum + p.count, 0))
type Way = 'as-written' | 'shuffled' | 'drawn' | 'adaptive'
const WAYS: { readonly value: Way; readonly label: string }[] = [
  { value: 'as-written', label: 'all, as written' },
  { value: 'shuffled', label: 'all, shuffled for each learner' },
  { value: 'drawn', label: 'drawn for each learner' },
  { value: 'adaptive', label: 'one by one, as hard as suits' },
]
const HELP: Record<Way, string> = {
  'as-written': 'Everybody has the same questions in the same order.',
  shuffled: 'The same questions for everybody, in an order of their own.',
  drawn: 'Each learner has some of the questions; neighbours have others.',
  adaptive:
    'A right answer brings a harder question, a wrong one an easier. The score is for the whole bank.',
}
const way = computed<Way>(() => (props.items.kind === 'all' ? props.order : props.items.kind))
/** About half of what there is, to begin with. */
const some = computed(() => Math.max(1, Math.round(inBank.value / 2)))
function take(next: Way): void {
  if (next === 'drawn') {
    const shares = [{ standard: null, hardness: null, count: some.value }]
    emit('change', { items: { kind: 'drawn', again: 'new', shares }, order: 'shuffled' })
  } else if (next === 'adaptive')
    emit('change', { items: { kind: 'adaptive', most: some.value, untilError: null }, order: 'as-written' })
  else emit('change', { items: { kind: 'all' }, order: next })
}
const AGAIN = [
  { value: 'new' as const, label: 'other questions, unseen ones first' },
  { value: 'same' as const, label: 'the same questions' },
]
const SURE = [
  { value: 'no', label: 'after that many' },
  { value: '0.8', label: 'sooner, once fairly sure' },
  { value: '0.6', label: 'sooner, once quite sure' },
]
</script>

<template>
  <div class="grid gap-2">
    <UFormField label="Questions" :help="HELP[way]"
      ><USelect
        class="w-full"
        :items="WAYS"
        :model-value="way"
        data-hook="items-way"
        @update:model-value="take"
    /></UFormField>
    <template v-if="items.kind === 'drawn'">
      <ShareRows
        :shares="items.shares"
        :bank="bank"
        @change="emit('change', { items: { ...items, shares: $event } })"
      />
      <UFormField label="A further try has"
        ><USelect
          class="w-full"
          :items="AGAIN"
          :model-value="items.again"
          @update:model-value="emit('change', { items: { ...items, again: $event } })"
      /></UFormField>
    </template>
    <template v-else-if="items.kind === 'adaptive'">
      <UFormField
        label="At most so many"
        :help="inBank ? `${count(inBank, 'question')} to choose from` : undefined"
        ><UInput
          type="number"
          min="1"
          name="most"
          :model-value="items.most"
          @update:model-value="emit('change', { items: { ...items, most: wholeOrNull($event) ?? 0 } })"
      /></UFormField>
      <UFormField label="It ends" help="How sure the estimate of what they can do has to be."
        ><USelect
          class="w-full"
          :items="SURE"
          :model-value="items.untilError === null ? 'no' : String(items.untilError)"
          @update:model-value="
            emit('change', { items: { ...items, untilError: $event === 'no' ? null : Number($event) } })
          "
      /></UFormField>
    </template>
  </div>
</template>
