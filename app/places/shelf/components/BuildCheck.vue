<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { DrawCheck } from '#shared/contracts/library'
import type { DrawnCheck } from '#shared/contracts/library'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import KeepCheck from './KeepCheck.vue'

/** A check out of the banks of the shelf, by standards: how many of each, how hard, and a look at the draw. */
const props = defineProps<{ standards: readonly string[]; grade: number; classId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const perStandard = ref(3)
const mix = ref<'any' | 'easier' | 'even' | 'harder'>('any')
const MIXES = {
  any: null,
  easier: { easy: 60, middle: 30, hard: 10 },
  even: { easy: 34, middle: 33, hard: 33 },
  harder: { easy: 10, middle: 40, hard: 50 },
} as const
const MIX_ITEMS = [
  { value: 'any', label: 'whatever comes' },
  { value: 'easier', label: 'mostly easy' },
  { value: 'even', label: 'a third each' },
  { value: 'harder', label: 'mostly hard' },
]
const seed = ref(1)
const drawn = shallowRef<DrawnCheck | null>(null)
const problem = ref('')
/** Items that were left out by hand. */
const without = ref<readonly string[]>([])
const nameOf = (of: DrawnCheck['items'][number]) => `${of.from.code} ${of.item.id}`
const kept = computed(() =>
  (drawn.value?.items ?? [])
    .map((of) => ({ ...of, name: nameOf(of) }))
    .filter((of) => !without.value.includes(of.name)),
)
const usualTitle = computed(
  () => `Check: ${props.standards.map((c) => c.split('.').slice(-2).join('.')).join(', ')}`,
)

async function draw(): Promise<void> {
  const each = Number(perStandard.value)
  if (!Number.isInteger(each) || each < 1 || each > 20 || props.standards.length === 0) return
  const reply = await call(DrawCheck, {
    body: {
      standards: [...props.standards],
      perStandard: each,
      mix: MIXES[mix.value],
      seed: String(seed.value),
    },
  })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  drawn.value = reply.ok ? reply.value : null
  without.value = []
}
watchDebounced([perStandard, mix, seed, () => props.standards], draw, { debounce: 150, immediate: true })
</script>

<template>
  <section aria-label="Build a check" data-hook="build-check">
    <header class="flex gap-3 items-start">
      <div class="flex-1">
        <h2 class="!text-xl">Build a check</h2>
        <p class="said">
          From {{ count(standards.length, 'standard') }}, out of every bank on the shelf. Tick more standards
          at the left.
        </p>
      </div>
      <UButton color="neutral" variant="ghost" icon="i-lucide-x" aria-label="Close" @click="emit('close')" />
    </header>
    <div class="flex flex-wrap gap-3 my-3 items-end">
      <UFormField label="Of each standard" class="w-32"
        ><UInput v-model.number="perStandard" type="number" min="1" max="20" name="per-standard"
      /></UFormField>
      <UFormField label="How hard" class="w-44"
        ><USelect v-model="mix" :items="MIX_ITEMS" class="w-full"
      /></UFormField>
      <UButton
        color="neutral"
        variant="outline"
        data-hook="draw-anew"
        @click="
          () => {
            seed++
          }
        "
        >Draw anew</UButton
      >
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-for="s in drawn?.short ?? []" :key="s.standard" class="note-line care">
      <span class="code">{{ s.standard }}</span> has {{ count(s.missing, 'item') }} too few.
    </p>
    <KeepCheck
      v-if="drawn"
      :items="kept"
      :standards="standards"
      :grade="grade"
      :class-id="classId"
      :usual-title="usualTitle"
      @leave-out="without = [...without, $event]"
      @kept="emit('close')"
    />
  </section>
</template>
