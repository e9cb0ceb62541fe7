<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Side } from '#core/combining'
import { capital } from './words'
import type { ClashRow } from './words'

/** What two people made different of the same, both in words; answers whose stands for each, or null to leave it. */
const props = defineProps<{
  /** 'Tomasz Zielinski', 'somebody else'. */
  who: string
  /** 'these headings'. */
  what: string
  rows: readonly ClashRow[]
  /** What of theirs stays without a question: 'Due and the note'. */
  also: string
}>()
const emit = defineEmits<{ close: [choices: ReadonlyMap<string, Side> | null] }>()
const chosen = ref<Record<string, Side>>({})
const isWhole = computed(() => props.rows.every((r) => chosen.value[r.id]))
const isOne = computed(() => props.rows.length === 1)
const title = computed(() => `${capital(props.who)} changed ${props.what} meanwhile`)
const about = computed(() => {
  const kept = props.also ? ` What only they changed stays: ${props.also}.` : ''
  return `Nothing of yours is saved yet. Choose what is to stand.${kept}`
})
const sidesOf = ({ mine, theirs }: ClashRow) => [
  { value: 'mine' as const, label: 'Yours', description: mine },
  { value: 'theirs' as const, label: 'Now there', description: theirs },
]
const CARDS = {
  fieldset: 'grid sm:grid-cols-2 gap-2',
  legend: 'font-semibold',
  description: 'text-default whitespace-pre-line wrap-anywhere max-h-36 overflow-auto',
}
function all(side: Side): void {
  emit('close', new Map(props.rows.map((r) => [r.id, side])))
}
function save(): void {
  emit('close', new Map(Object.entries(chosen.value)))
}
</script>

<template>
  <UModal
    :title="title"
    :description="about"
    :close="false"
    :ui="{ content: 'max-w-2xl', footer: 'flex-wrap' }"
    @update:open="emit('close', null)"
  >
    <template #body>
      <div class="grid gap-4" data-hook="both-values">
        <template v-for="row in rows" :key="row.id">
          <dl v-if="isOne" class="grid sm:grid-cols-2 gap-4">
            <div v-for="side in sidesOf(row)" :key="side.value">
              <dt class="said">{{ row.label }}, {{ side.label.toLowerCase() }}</dt>
              <dd class="whitespace-pre-line wrap-anywhere">{{ side.description }}</dd>
            </div>
          </dl>
          <URadioGroup
            v-else
            v-model="chosen[row.id]"
            :legend="row.label"
            :items="sidesOf(row)"
            variant="card"
            :ui="CARDS"
            :data-hook="`choose-${row.id}`"
          />
        </template>
      </div>
    </template>
    <template #footer>
      <UButton
        v-if="!isOne"
        :disabled="!isWhole"
        :variant="isWhole ? 'solid' : 'outline'"
        data-hook="save-chosen"
        @click="save"
        >Save as chosen</UButton
      >
      <UButton
        :variant="isOne ? 'solid' : 'outline'"
        color="neutral"
        data-hook="all-mine"
        @click="all('mine')"
        >{{ isOne ? 'Keep mine' : 'Mine in all' }}</UButton
      >
      <UButton variant="outline" color="neutral" data-hook="all-theirs" @click="all('theirs')">{{
        isOne ? 'Take theirs' : 'Theirs in all'
      }}</UButton>
      <UButton color="neutral" variant="ghost" autofocus data-hook="leave-it" @click="emit('close', null)"
        >Go on writing</UButton
      >
    </template>
  </UModal>
</template>
