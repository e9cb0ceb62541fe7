<script setup lang="ts">
import { defineShortcuts, navigateTo } from '#imports'
import { computed, ref, shallowRef, watch } from 'vue'
import { standardsLike } from '#core/library'
import { ListRecipients } from '#shared/contracts/work'
import type { Recipients } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { call } from '~/shared/wire/call'
import { sayPiece } from '~/shared/words/pieces'

const open = ref(false)
const desk = useDesk()
const shelf = useShelf()
const typed = ref('')
const recipients = shallowRef<Recipients | null>(null)
// asked for once somebody looks for something
watch(open, async (isOpen) => {
  typed.value = ''
  if (!isOpen) return
  void shelf.load()
  void desk.load()
  const reply = await call(ListRecipients)
  if (reply.ok) recipients.value = reply.value
})
/** Learners of the asker's classes, each once, with their classes. */
const learners = computed(() => {
  const byId = new Map<string, { readonly name: string; readonly classes: string[] }>()
  for (const of of recipients.value?.classes ?? [])
    for (const { id, name } of of.learners) {
      const known = byId.get(id) ?? { name, classes: [] }
      known.classes.push(of.name)
      byId.set(id, known)
    }
  return [...byId]
})
const MOST_STANDARDS = 5
defineShortcuts({
  meta_k: {
    usingInput: true,
    handler: () => {
      open.value = true
    },
  },
})

const go = (to: string) => () => {
  open.value = false
  void navigateTo(to)
}
const groups = computed(() => [
  {
    id: 'places',
    label: 'Places',
    items: [
      { label: 'The week ahead', suffix: 'Pace', onSelect: go('/pace/week') },
      { label: 'Planning desk', suffix: 'Pace', onSelect: go('/pace') },
      { label: 'Series', suffix: 'Pace', onSelect: go('/pace/series') },
      { label: 'Place pieces on days', suffix: 'Pace', onSelect: go('/pace/place') },
      { label: 'Textbooks and pieces', suffix: 'Shelf', onSelect: go('/shelf') },
      { label: 'Classes', onSelect: go('/classes') },
      { label: 'Work to publish, open and due', suffix: 'Work', onSelect: go('/work') },
      { label: 'Results', suffix: 'Evidence', onSelect: go('/evidence') },
      { label: 'Lens: what a learner sees', onSelect: go('/lens') },
      { label: 'School year and closures', onSelect: go('/classes/year') },
      { label: 'Plans', onSelect: go('/classes/plans') },
    ],
  },
  {
    id: 'classes',
    label: 'Classes',
    items: desk.classes.map((c) => ({
      label: c.name,
      suffix: 'on the desk',
      onSelect: go(`/pace?class=${c.id}`),
    })),
  },
  {
    id: 'lessons',
    label: 'Lessons',
    items: desk.columns
      .filter((c, i) => c.plan && desk.columns.findIndex((x) => x.plan === c.plan) === i)
      .flatMap((c) =>
        (c.plan?.lessons ?? []).map((l) => ({
          label: `${l.number} ${l.title}`,
          suffix: c.plan?.course ?? '',
          onSelect: go(`/pace?of=${c.of.id}&lesson=${l.id}`),
        })),
      ),
  },
  {
    id: 'learners',
    label: 'Learners',
    items: learners.value.map(([id, { name, classes }]) => ({
      label: name,
      suffix: classes.join(', '),
      onSelect: go(`/lens?learner=${id}`),
    })),
  },
  {
    id: 'standards',
    label: 'Standards',
    // in the order in which they are meant: 8.W.1 before 8.W.10
    ignoreFilter: true,
    items: standardsLike(shelf.shelf?.standards ?? [], typed.value)
      .slice(0, MOST_STANDARDS)
      .map((s) => ({
        label: `${s.code} ${s.text}`,
        suffix: 'Shelf',
        onSelect: go(`/shelf?by=standards&standard=${encodeURIComponent(s.code)}`),
      })),
  },
  {
    id: 'pieces',
    label: 'Pieces',
    items: (shelf.shelf?.pieces ?? []).map((p) => ({
      label: `${p.title}`,
      suffix: `${p.code} · ${sayPiece(p)}`,
      onSelect: go(`/shelf?piece=${p.id}`),
    })),
  },
])
/** The package gives its list no name. */
function nameList(palette: unknown): void {
  const { $el } = (palette ?? {}) as { $el?: Node }
  $el?.parentElement?.querySelector('[role="listbox"]')?.setAttribute('aria-label', 'What was found')
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Search and commands"
    description="Places, classes, learners, lessons, standards and pieces"
    :ui="{ content: 'max-w-xl' }"
  >
    <UButton color="neutral" variant="outline" icon="i-lucide-search" data-hook="palette"
      ><span class="sr-only sm:not-sr-only">Search</span>
      <UKbd value="ctrl" class="hidden sm:inline-flex" /><UKbd value="k" class="hidden sm:inline-flex"
    /></UButton>
    <template #content>
      <UCommandPalette
        :ref="nameList"
        v-model:search-term="typed"
        :groups="groups"
        placeholder="Go to a class, a learner, a lesson, a standard, a piece …"
        class="h-96"
        close
        @update:open="open = $event"
      />
    </template>
  </UModal>
</template>
