<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { GroupId } from '#core/base'
import { bandOf } from '#core/evidence'
import { StandOfRecipients } from '#shared/contracts/work'
import type { Recipients } from '#shared/contracts/work'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../draft'
import { gradesIn, namesOf, pickedKeys, pickedLearners, toggled, withLearner } from '../picking'
import type { PickedLearner } from '../picking'
import PickerClass from './picker/PickerClass.vue'
import PickerGroup from './picker/PickerGroup.vue'
import type { Stand } from './picker/stand'

const props = defineProps<{ recipients: Recipients }>()
const draft = defineModel<DraftInWork>({ required: true })
defineEmits<{ reload: [] }>()
const isOpen = ref(false)
const word = ref('')
const ANY = 'any'
const group = ref<string>(ANY)
const standing = ref<Standing>(ANY)
const grade = ref<number | typeof ANY>(ANY)
type Standing = typeof ANY | 'low' | 'high' | 'unseen'
const STANDINGS: { value: Standing; label: string }[] = [
  { value: ANY, label: 'any standing' },
  { value: 'low', label: 'below 60 %' },
  { value: 'high', label: '85 % and more' },
  { value: 'unseen', label: 'not seen yet' },
]

const stands = shallowRef<ReadonlyMap<string, Stand>>(new Map())
/** How everybody stands is asked for when the picker opens: it is not needed before. */
watch(isOpen, async (open) => {
  if (!open) return
  word.value = ''
  const resourceIds = draft.value.pieces.map((p) => p.resourceId)
  const reply = await call(StandOfRecipients, { body: { resourceIds, category: draft.value.about.category } })
  if (reply.ok) stands.value = new Map(reply.value.learners.map((l) => [l.id, l]))
})
const picked = computed(() => pickedKeys(draft.value))
const chosen = computed(() => pickedLearners(draft.value, props.recipients).size)
const text = computed(() => word.value.trim().toLowerCase())
const fits = (of: string) => of.toLowerCase().includes(text.value)
const place = (id: string) => props.recipients.classes.findIndex((c) => c.id === id)
const groups = computed(() =>
  [...props.recipients.groups]
    .sort((a, b) => place(a.classIds[0] ?? '') - place(b.classIds[0] ?? ''))
    .map((g) => ({ ...g, of: namesOf(g.classIds, props.recipients.classes) })),
)
const GROUP_ITEMS = computed(() => [
  { value: ANY, label: 'any group' },
  ...groups.value.map((g) => ({ value: g.id as string, label: `${g.name}, ${g.of}` })),
])
const grades = computed(() => gradesIn(props.recipients))
const GRADE_ITEMS = computed(() => [
  { value: ANY, label: 'any grade' },
  ...grades.value.map((n) => ({ value: n, label: `grade ${n}` })),
])
const isByLearner = computed(() => group.value !== ANY || standing.value !== ANY || grade.value !== ANY)
const isNarrowed = computed(() => text.value.length >= 2 || isByLearner.value)
function isAmong(l: PickedLearner): boolean {
  if (grade.value !== ANY && l.grade !== grade.value) return false
  const members = props.recipients.groups.find((g) => g.id === group.value)?.learnerIds
  if (group.value !== ANY && !members?.includes(l.id)) return false
  const stand = stands.value.get(l.id)?.standing ?? null
  if (standing.value === ANY) return true
  if (standing.value === 'unseen') return stand === null
  return stand !== null && bandOf(stand.share) === standing.value
}
/** Classes with the learners that the filters leave; a class that was not looked for shows itself without its box. */
const classes = computed(() =>
  props.recipients.classes.flatMap((c) => {
    const isWanted = fits(`${c.name} ${c.course}`)
    const people = c.learners.map((l) => ({ ...l, classId: c.id }))
    const shown = isNarrowed.value ? people.filter((l) => (isWanted || fits(l.name)) && isAmong(l)) : people
    const isEmpty = isNarrowed.value ? shown.length === 0 && !isWanted : !isWanted
    // a box for the whole class would take in those whom the filters leave out
    return isEmpty || (isByLearner.value && shown.length === 0)
      ? []
      : [{ ...c, isWanted: isWanted && !isByLearner.value, learners: shown }]
  }),
)
const shownGroups = computed(() => groups.value.filter((g) => fits(`${g.name} ${g.of}`)))
const shownLearners = computed(() => (isNarrowed.value ? classes.value.flatMap((c) => c.learners) : []))
function toggle(key: string): void {
  draft.value = toggled(draft.value, key)
}
function setAll(isIn: boolean): void {
  draft.value = shownLearners.value.reduce((d, l) => withLearner(d, l, isIn), draft.value)
}
const groupKey = (id: GroupId) => `group ${id}`
</script>

<template>
  <UButton
    icon="i-lucide-plus"
    variant="outline"
    data-hook="add-who"
    @click="
      () => {
        isOpen = true
      }
    "
    >Add classes, groups, learners</UButton
  >
  <USlideover
    v-model:open="isOpen"
    title="Who gets it"
    description="Untick a learner of a ticked class for “everyone but”."
    :ui="{ content: 'max-w-xl' }"
  >
    <template #body>
      <div class="grid gap-3">
        <UInput
          v-model="word"
          icon="i-lucide-search"
          placeholder="Class, group or learner's name"
          aria-label="Filter recipients"
          autofocus
        />
        <div class="flex flex-wrap gap-2">
          <USelect v-model="group" :items="GROUP_ITEMS" class="w-52" aria-label="Only of this group" />
          <USelect
            v-if="grades.length > 0"
            v-model="grade"
            :items="GRADE_ITEMS"
            class="w-32"
            aria-label="Only of this grade"
            data-hook="grade"
          />
          <USelect
            v-model="standing"
            :items="STANDINGS"
            class="w-44"
            aria-label="Only with this standing"
            data-hook="standing"
          />
        </div>
        <p v-if="isNarrowed && shownLearners.length" class="flex flex-wrap gap-2 items-center">
          <span class="said">{{ count(shownLearners.length, 'learner') }} found</span>
          <UButton size="xs" variant="outline" data-hook="tick-found" @click="setAll(true)"
            >Tick these</UButton
          >
          <UButton size="xs" color="neutral" variant="ghost" data-hook="untick-found" @click="setAll(false)"
            >Untick these</UButton
          >
        </p>
        <div class="grid gap-1" data-hook="recipients">
          <PickerClass
            v-for="c in classes"
            :key="c.id"
            v-model="draft"
            :of="c"
            :stands="stands"
            :is-open="isNarrowed"
          />
          <template v-if="shownGroups.length && !isByLearner">
            <h3>Groups</h3>
            <UCheckbox
              v-for="g in shownGroups"
              :key="g.id"
              :model-value="picked.has(groupKey(g.id))"
              @update:model-value="toggle(groupKey(g.id))"
              ><template #label
                ><span
                  >{{ g.name }}
                  <span class="said">{{ g.of }}, {{ count(g.learnerIds.length, 'learner') }}</span></span
                ></template
              ></UCheckbox
            >
          </template>
          <p v-if="classes.length === 0 && shownGroups.length === 0" class="said">
            Nobody fits. Type two letters of a name, or look for all of them.
          </p>
        </div>
        <PickerGroup v-model="draft" :recipients="recipients" @made="$emit('reload')" />
      </div>
    </template>
    <template #footer>
      <UButton
        data-hook="picker-done"
        @click="
          () => {
            isOpen = false
          }
        "
        >Done</UButton
      >
      <span class="said" role="status"
        >{{ count(chosen, 'learner') }} chosen<template v-if="draft.exceptIds.length"
          >, {{ count(draft.exceptIds.length, 'learner') }} left out</template
        ></span
      >
    </template>
  </USlideover>
</template>

<style scoped>
h3 {
  padding-top: 0.3rem;
}
</style>
