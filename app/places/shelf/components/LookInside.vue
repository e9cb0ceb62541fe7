<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { drawItems } from '#core/attempts'
import { cardOfKind, countByKind, isScoredByHand } from '#core/library'
import type { ItemKind } from '#core/library'
import type { ResourceId } from '#core/base'
import { LookInside } from '#shared/contracts/library'
import type { Inside } from '#shared/contracts/library'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { PieceMaterial } from '~/places/learner'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { sayLanguage } from '~/shared/words/languages'
import { KIND_WORDS, ROLE_WORDS } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'
import BankItem from './BankItem.vue'
import FormerForms from './FormerForms.vue'
import GuideOfPiece from './GuideOfPiece.vue'
import PieceActs from './PieceActs.vue'
import TryOut from './TryOut.vue'

const props = defineProps<{
  resourceId: ResourceId
  lesson: string | null
  classId: string | null
  /** It is looked at from another page, which has acts of its own. */
  isBeside?: boolean
}>()
const emit = defineEmits<{ standard: [code: string]; choose: [id: ResourceId] }>()
const heading = useTemplateRef<HTMLElement>('heading')
const overview = useOverview()
void overview.load()
const inside = shallowRef<Inside | null>(null)
const problem = ref('')
const as = ref<'learner' | 'key' | 'sample' | null>('learner')
const WAYS_TO_LOOK = [
  { value: 'learner', label: 'Try it as a learner' },
  { value: 'key', label: 'With answers', hook: 'with-answers' },
  { value: 'sample', label: 'A sample', hook: 'sample' },
] as const
const resource = computed(() => inside.value?.resource ?? null)
/** A sample of so many items, and which of the samples. */
const sampleOf = ref(5)
const sampleNumber = ref(1)
const sample = computed(() => {
  const bank = resource.value?.items ?? []
  const count = Math.max(1, Math.min(sampleOf.value, bank.length))
  return drawItems(
    bank,
    [{ standard: null, hardness: null, count }],
    `sample ${sampleNumber.value}`,
    new Map(),
  )
})

async function load(): Promise<void> {
  const { resourceId } = props
  const reply = await call(LookInside, { params: { resourceId } })
  if (resourceId !== props.resourceId) return
  inside.value = reply.ok ? reply.value : null
  isWhole.value = false
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
}
watch(() => props.resourceId, open, { immediate: true })
async function open(): Promise<void> {
  await load()
  await takeFocus()
}
/** What was opened has the focus, so that its acts come next; unless somebody types meanwhile. */
async function takeFocus(): Promise<void> {
  await nextTick()
  const isTyping = document.activeElement?.matches('input, textarea, [role="dialog"] *')
  if (!props.isBeside && !isTyping) heading.value?.focus()
}

/** A test of the whole year has dozens of standards: its questions would be far below. */
const MOST_STANDARDS = 6
const isWhole = ref(false)
const shownStandards = computed(
  () => inside.value?.standards.slice(0, isWhole.value ? undefined : MOST_STANDARDS) ?? [],
)
function showAll(): void {
  isWhole.value = true
}
const kinds = computed(() =>
  Object.entries(countByKind(resource.value?.items ?? []))
    .filter(([, n]) => n > 0)
    .map(([kind, n]) => `${n} ${ITEM_KIND_WORDS[kind as ItemKind].name.toLowerCase()}`)
    .join(', '),
)
const byHand = computed(() => resource.value?.items.filter(isScoredByHand).length ?? 0)
const assignTo = computed(() => ({
  path: '/work/new',
  query: {
    piece: props.resourceId,
    ...(props.lesson ? { lesson: props.lesson } : {}),
    ...(props.classId ? { class: props.classId } : {}),
  },
}))
</script>

<template>
  <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  <div v-else-if="inside && resource" data-hook="inside">
    <header class="top">
      <div class="flex-1">
        <p class="said">
          {{ KIND_WORDS[resource.kind] }}, {{ ROLE_WORDS[resource.role] }} · grade {{ resource.grade
          }}<template v-if="resource.readingLevel">
            · for readers of grade {{ resource.readingLevel }}</template
          ><template v-if="resource.language !== 'en'"> · {{ sayLanguage(resource.language) }}</template> ·
          <span class="code">{{ resource.code }}</span>
        </p>
        <h2 ref="heading" tabindex="-1" class="!text-xl">{{ resource.title }}</h2>
      </div>
      <template v-if="!isBeside">
        <PieceActs :of="inside" @changed="load" />
        <UButton size="md" :to="assignTo" data-hook="assign">Assign this</UButton>
      </template>
    </header>
    <dl class="facts">
      <dt>Time</dt>
      <dd>{{ count(resource.minutes, 'minute') }}</dd>
      <template v-if="resource.items.length"
        ><dt>Items</dt>
        <dd>
          {{ count(resource.items.length, 'item') }}: {{ kinds }}.
          {{ byHand ? `Scores itself but for ${count(byHand, 'item')}.` : 'Scores itself.' }}
        </dd></template
      >
      <template v-if="inside?.standards.length"
        ><dt>Standards</dt>
        <dd>
          <p v-for="s in shownStandards" :key="s.code">
            {{ s.text }}
            <button type="button" class="plain code" @click="emit('standard', s.code)">{{ s.code }}</button>
          </p>
          <button
            v-if="shownStandards.length < inside.standards.length"
            type="button"
            class="plain"
            @click="showAll"
          >
            All {{ inside.standards.length }}
          </button>
        </dd></template
      >
      <dt>Versions</dt>
      <dd>
        {{ inside.versions.length ? `${inside.versions.join(', ')}.` : 'None yet.' }}
        <NuxtLink
          class="plain"
          :to="{ path: '/shelf-versions', query: { piece: resource.id } }"
          data-hook="to-versions"
          >{{ inside.versions.length ? 'Look at them and change them' : 'Lay support over it' }}</NuxtLink
        >
      </dd>
      <template v-if="cardOfKind(resource.kind).words === 'learnt' && !isBeside"
        ><dt>Every week</dt>
        <dd>
          <NuxtLink
            class="plain"
            :to="{ path: '/pace/series', query: classId ? { class: classId } : {} }"
            data-hook="to-series"
            >Put it into a series</NuxtLink
          >, one list after the other.
        </dd></template
      >
      <dt>Already used</dt>
      <dd>
        {{ inside?.used.length ? '' : 'not by your classes' }}
        <p v-for="(u, i) in inside?.used" :key="i">
          {{ u.className
          }}<template v-if="u.dueAt">, due {{ sayMoment(u.dueAt, overview.zone, 'due') }}</template>
        </p>
      </dd>
    </dl>
    <FormerForms v-if="inside.formerForms.length" :resource-id="resource.id" :forms="inside.formerForms" />
    <ChoiceButtons
      v-if="resource.items.length"
      v-model="as"
      class="my-3"
      label="Look at it"
      :items="WAYS_TO_LOOK"
    />
    <PieceMaterial :material="resource.material" :content="resource.content" />
    <template v-if="as === 'key'">
      <BankItem
        v-for="(item, i) in resource.items"
        :key="item.id"
        :bank="resource"
        :item="item"
        :number="i + 1"
      />
    </template>
    <template v-else-if="as === 'sample'">
      <div class="flex flex-wrap gap-3 items-end my-2" data-hook="sample-of">
        <UFormField label="Items in the sample" class="w-36"
          ><UInput v-model.number="sampleOf" type="number" min="1" :max="resource.items.length"
        /></UFormField>
        <UButton
          color="neutral"
          variant="outline"
          data-hook="draw-anew"
          @click="
            () => {
              sampleNumber++
            }
          "
          >Draw anew</UButton
        >
        <p class="said">
          Sample {{ sampleNumber }}: {{ sample.length }} of {{ resource.items.length }}. A learner's own draw
          will be another one.
        </p>
      </div>
      <BankItem v-for="(item, i) in sample" :key="item.id" :bank="resource" :item="item" :number="i + 1" />
    </template>
    <TryOut v-else-if="resource.items.length" :items="resource.items" />
    <GuideOfPiece
      v-if="cardOfKind(resource.kind).isScored"
      :resource-id="resource.id"
      :standards="resource.standards"
      @choose="emit('choose', $event)"
    />
  </div>
  <p v-else class="said">Opening …</p>
</template>

<style scoped>
.top {
  display: flex;
  align-items: flex-start;
  gap: 1rem;
}
.facts {
  display: grid;
  grid-template-columns: 7rem 1fr;
  gap: 0.25rem 0.75rem;
  margin: 0.9rem 0;
  padding-block: 0.7rem;
  border-block: 1px solid var(--ui-border);
  font-size: var(--text-sm);
}
.facts dt {
  color: var(--ui-text-muted);
}
</style>
