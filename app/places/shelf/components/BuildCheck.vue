<script setup lang="ts">
import { navigateTo } from '#imports'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import { NO_MATERIAL } from '#core/library'
import { DrawCheck, MakePiece } from '#shared/contracts/library'
import type { DrawnCheck } from '#shared/contracts/library'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useShelf } from '../stores/shelf'
import ItemKey from './ItemKey.vue'

/** A check out of the banks of the shelf, by standards: how many of each, how hard, and a look at the draw. */
const props = defineProps<{ standards: readonly string[]; grade: number; classId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const shelf = useShelf()
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
const title = ref('')
const drawn = shallowRef<DrawnCheck | null>(null)
const problem = ref('')
const busy = ref(false)
/** Items that were left out by hand. */
const without = ref<readonly string[]>([])
const nameOf = (of: DrawnCheck['items'][number]) => `${of.from.code} ${of.item.id}`
const kept = computed(() => drawn.value?.items.filter((i) => !without.value.includes(nameOf(i))) ?? [])
/** Two minutes an item, roughly. */
const minutes = computed(() => Math.max(5, Math.round((kept.value.length * 1.5) / 5) * 5))
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

async function keep(assign: boolean): Promise<void> {
  busy.value = true
  const reply = await call(MakePiece, {
    body: {
      title: title.value.trim() || usualTitle.value,
      code: '',
      kind: 'check',
      role: 'core',
      minutes: minutes.value,
      grade: props.grade,
      language: 'en',
      readingLevel: null,
      standards: [...props.standards],
      content: '',
      material: NO_MATERIAL,
      items: kept.value.map(({ item }, i) => ({ ...item, id: asId<ItemId>(`q${i + 1}`) })),
    },
  })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  await shelf.load(true)
  const piece = reply.value.resourceId
  const query = props.classId ? { piece, class: props.classId } : { piece }
  await navigateTo({ path: assign ? '/work/new' : '/shelf', query })
  emit('close')
}
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
      <UFormField label="Title" class="flex-1 min-w-52"
        ><UInput v-model="title" :placeholder="usualTitle" name="check-title"
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
    <p class="my-2" role="status" data-hook="drawn">
      {{ count(kept.length, 'item') }}, about {{ minutes }} minutes
    </p>
    <div class="flex gap-2 mb-2">
      <UButton :disabled="kept.length === 0" :loading="busy" data-hook="keep-and-assign" @click="keep(true)"
        >Put it on the shelf and assign it</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :disabled="kept.length === 0"
        :loading="busy"
        data-hook="keep-check"
        @click="keep(false)"
        >Put it on the shelf</UButton
      >
    </div>
    <div v-for="(of, i) in kept" :key="nameOf(of)" class="relative">
      <ItemKey :item="of.item" :number="i + 1" />
      <div class="flex gap-3 items-center pb-1">
        <p class="said flex-1">
          from {{ of.from.title }} <span class="code">{{ of.from.code }}</span>
        </p>
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          :aria-label="`Leave it out: question ${i + 1}`"
          @click="
            () => {
              without = [...without, nameOf(of)]
            }
          "
          >Leave it out</UButton
        >
      </div>
    </div>
  </section>
</template>
