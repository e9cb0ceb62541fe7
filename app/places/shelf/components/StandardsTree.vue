<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { useOpenBranches } from '../composables/openBranches'
import { narrowedStandards, pathTo, standardTree, standardsLike } from '#core/library'
import type { GradesServed, StandardNode } from '#core/library'
import { ShowGradesServed } from '#shared/contracts/library'
import { call } from '~/shared/wire/call'
import { useShelf } from '../stores/shelf'
import FoldRow from './FoldRow.vue'
import ShelfRow from './ShelfRow.vue'
import { count } from '~/shared/words/numbers'

/** Standards under their domains: pressed to be read, ticked to build a check from. */
const props = defineProps<{ chosen: string | null; ticked: readonly string[] }>()
const emit = defineEmits<{ choose: [code: string]; tick: [code: string, isOn: boolean] }>()
const shelf = useShelf()
const every = computed(() => shelf.shelf?.standards ?? [])
/** What does not matter. */
const ANY = 'any'
const subject = ref<string>(ANY)
const grade = ref<number | typeof ANY>(ANY)
const grades = shallowRef<GradesServed>(new Map())
onMounted(async () => {
  const reply = await call(ShowGradesServed)
  if (reply.ok) grades.value = new Map(Object.entries(reply.value.grades))
})
const subjects = computed(() => standardTree(every.value).filter((n) => n.children.length > 0))
const subjectItems = computed(() => [
  { value: ANY, label: 'every subject' },
  ...subjects.value.map(({ standard: s }) => ({ value: s.code, label: s.text })),
])
const gradeItems = computed(() => [
  { value: ANY, label: 'every grade' },
  ...[...new Set([...grades.value.values()].flat())]
    .sort((a, b) => a - b)
    .map((n) => ({ value: n, label: `grade ${n}` })),
])
const all = computed(() =>
  narrowedStandards(every.value, {
    subject: subject.value === ANY ? null : subject.value,
    grade: grade.value === ANY ? null : grade.value,
    grades: grades.value,
  }),
)
const domains = computed(() => {
  const holding = (nodes: readonly StandardNode[]): readonly StandardNode[] =>
    nodes.flatMap((n) => (n.children.some((c) => c.children.length === 0) ? [n] : holding(n.children)))
  const tree = standardTree(all.value)
  const alone = tree.filter((n) => n.children.length === 0)
  return { held: holding(tree), alone }
})
const { open, openUp, toggle } = useOpenBranches('standards')
const typed = ref('')
/** Codes that are meant by what is typed; null: nothing is. */
const meant = computed(() =>
  typed.value.trim() === '' ? null : new Set(standardsLike(all.value, typed.value).map((s) => s.code)),
)
/** Domains with the standards that are meant, and all of them where the domain itself is. */
const shown = computed(() => {
  const of = meant.value
  if (of === null)
    return domains.value.held.map((node) => ({ ...node, isOpen: open.value.has(node.standard.code) }))
  return domains.value.held.flatMap((node) => {
    const children = node.children.filter((c) => of.has(c.standard.code))
    return children.length > 0 ? [{ ...node, children, isOpen: true }] : []
  })
})
watch(
  [() => props.chosen, all],
  () => {
    const above = props.chosen ? pathTo(props.chosen, all.value).at(-1) : undefined
    if (above) openUp(above.code)
    else if (open.value.size === 0 && domains.value.held[0]) openUp(domains.value.held[0].standard.code)
  },
  { immediate: true },
)
</script>

<template>
  <div data-hook="standards-tree">
    <p v-if="every.length === 0" class="said mt-3">
      There are no standards yet. Read some in from a file, or write them into questions.
    </p>
    <UInput
      v-else
      v-model="typed"
      class="w-full mt-3 mb-1"
      placeholder="Code, or words of a standard"
      aria-label="Find a standard"
      name="find-standard"
    />
    <div v-if="every.length" class="flex gap-2 mb-1">
      <USelect
        v-if="subjects.length > 1"
        v-model="subject"
        size="sm"
        class="flex-1 min-w-0"
        :items="subjectItems"
        aria-label="Subject"
        data-hook="standards-subject"
      />
      <USelect
        v-if="gradeItems.length > 2"
        v-model="grade"
        size="sm"
        class="w-32"
        :items="gradeItems"
        aria-label="Grade"
        data-hook="standards-grade"
      />
    </div>
    <p v-if="every.length && shown.length === 0" class="said">No standard is like that.</p>
    <section v-for="node in shown" :key="node.standard.code">
      <FoldRow
        :title="node.standard.text"
        :about="count(node.children.length, 'standard')"
        :is-open="node.isOpen"
        @toggle="toggle(node.standard.code)"
      />
      <ul v-if="node.isOpen">
        <li v-for="{ standard: s } in node.children" :key="s.code">
          <UCheckbox
            class="mt-1"
            size="sm"
            :model-value="ticked.includes(s.code)"
            :aria-label="`Tick ${s.code}`"
            :data-hook="`tick-${s.code}`"
            @update:model-value="emit('tick', s.code, $event === true)"
          />
          <ShelfRow :is-chosen="s.code === chosen" data-hook="standard" @choose="emit('choose', s.code)"
            >{{ s.text }} <span class="code said">{{ s.code }}</span></ShelfRow
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
li {
  display: flex;
  gap: 0.6rem;
  align-items: flex-start;
  padding-left: 1.35rem;
}
</style>
