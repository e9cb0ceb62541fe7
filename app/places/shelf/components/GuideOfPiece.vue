<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { ResourceId } from '#core/base'
import { SetPointer, ShowGuide } from '#shared/contracts/library'
import type { Guide } from '#shared/contracts/library'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayPiece } from '~/shared/words/pieces'
import { useShelf } from '../stores/shelf'

/** "If weak here, give that": what a check and its standards point to, to be read and changed. */
const props = defineProps<{ resourceId: ResourceId; standards: readonly string[] }>()
const emit = defineEmits<{ choose: [id: ResourceId] }>()
const shelf = useShelf()
const tell = useTell()
const guide = shallowRef<Guide | null>(null)
async function load(): Promise<void> {
  const { resourceId } = props
  const reply = await call(ShowGuide, { params: { resourceId } })
  if (resourceId === props.resourceId) guide.value = reply.ok ? reply.value : null
}
watch(() => props.resourceId, load, { immediate: true })
const PIECE = 'this'
const fromItems = computed(() => [
  { label: 'whoever is weak in it', value: PIECE },
  ...props.standards.map((code) => ({ label: `who is weak in ${code}`, value: code })),
])
const from = ref(PIECE)
const to = ref<ResourceId | undefined>()
const toItems = computed(() =>
  (shelf.shelf?.pieces ?? [])
    .filter((p) => p.id !== props.resourceId)
    .map((p) => ({ label: `${p.code} ${p.title}`, value: p.id })),
)
const toLabel = computed(
  () => toItems.value.find((i) => i.value === to.value)?.label ?? 'a piece of the shelf',
)
async function set(standard: string | null, piece: ResourceId, isOn: boolean): Promise<void> {
  const reply = await call(SetPointer, {
    body: {
      from:
        standard === null
          ? { kind: 'piece', resourceId: props.resourceId }
          : { kind: 'standard', code: standard },
      to: piece,
      isOn,
    },
  })
  if (!reply.ok) return tell.refused(reply.error)
  await load()
}
async function add(): Promise<void> {
  if (!to.value) return
  await set(from.value === PIECE ? null : from.value, to.value, true)
  to.value = undefined
}
</script>

<template>
  <section class="guide" aria-label="If weak here, give that" data-hook="guide">
    <h3>If weak here, give that</h3>
    <ul>
      <li v-for="p in guide?.pointers ?? []" :key="`${p.standard} ${p.to.id}`">
        <span class="flex-1"
          ><span v-if="p.standard" class="said"
            ><span class="code">{{ p.standard }}</span
            >: </span
          ><button type="button" class="plain" @click="emit('choose', p.to.id)">{{ p.to.title }}</button>
          <span class="said">{{ sayPiece(p.to) }}</span></span
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`No longer give: ${p.to.title}`"
          @click="set(p.standard, p.to.id, false)"
        />
      </li>
    </ul>
    <p v-if="guide && guide.pointers.length === 0" class="said">Nothing yet.</p>
    <form class="flex flex-wrap gap-2 mt-2" @submit.prevent="add">
      <USelect v-model="from" size="sm" :items="fromItems" class="w-52" aria-label="For whom" />
      <USelectMenu
        v-model="to"
        size="sm"
        value-key="value"
        :items="toItems"
        virtualize
        placeholder="a piece of the shelf"
        class="w-72"
        :aria-label="`${toLabel}: what to give`"
      />
      <UButton size="sm" type="submit" color="neutral" variant="outline" :disabled="!to">Add</UButton>
    </form>
  </section>
</template>

<style scoped>
.guide {
  margin-top: 1.2rem;
  padding-top: 0.7rem;
  border-top: 1px solid var(--ui-border);
}
li {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.2rem 0;
}
</style>
