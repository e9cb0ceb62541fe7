<script setup lang="ts">
import { computed, ref } from 'vue'
import type { GroupId, UserId } from '#core/base'
import { GRADES } from '#core/audience'
import { SetMember } from '#shared/contracts/teaching'
import type { ClassGroup, ClassPage, LearnerRow } from '#shared/contracts/teaching'
import { useServerNow } from '~/shared/session/serverNow'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { zoneNamed } from '~/shared/words/times'
import { usePutInGrade } from '../composables/putInGrade'
import { sayGroupRule } from '../words/groupRules'
import GroupsMenu from './GroupsMenu.vue'
import LearnerActs from './LearnerActs.vue'
import LearnerTerms from './LearnerTerms.vue'
import NewGroup from './NewGroup.vue'

const props = defineProps<{ page: ClassPage }>()
const emit = defineEmits<{ changed: [] }>()
const tell = useTell()
const now = useServerNow()
const today = computed(() => zoneNamed(props.page.year.zone).local(now.value).on)
const word = ref('')
const editing = ref<UserId | null>(null)
const learners = computed(() =>
  props.page.learners.filter((l) => l.name.toLowerCase().includes(word.value.trim().toLowerCase())),
)
const membersOf = (id: GroupId) => props.page.learners.filter((l) => l.groupIds.includes(id)).map((l) => l.id)

/** Sends one tick alone, so that ticks in quick succession do not undo each other. */
async function toggle(l: LearnerRow, groupId: GroupId, isIn: boolean): Promise<void> {
  const reply = await call(SetMember, {
    params: { classId: props.page.id },
    body: { groupId, learnerId: l.id, isIn },
  })
  if (!reply.ok) tell.refused(reply.error)
  emit('changed')
}
const others = computed(() => props.page.ownClasses.filter((c) => c.id !== props.page.id))
/** "3 of 7, also 8 B" of a group that others share. */
function sayMembers(g: ClassGroup): string {
  const here = String(membersOf(g.id).length)
  const also = others.value.filter((c) => g.classIds.includes(c.id)).map((c) => c.name)
  return g.classIds.length > 1 ? `${here} of ${g.learners}, also ${sayList(also) || 'others'}` : here
}
function edit(l: LearnerRow): void {
  editing.value = editing.value === l.id ? null : l.id
}
function saved(): void {
  editing.value = null
  emit('changed')
}
const gradeAll = usePutInGrade(
  props,
  () => learners.value,
  () => emit('changed'),
)
const gradings = [
  ...GRADES.map((n) => ({ label: `Grade ${n}`, onSelect: () => void gradeAll(n) })),
  { label: 'Not said', onSelect: () => void gradeAll(null) },
]
const sayExtra = ({ accommodation: a }: LearnerRow) =>
  [
    a.timeFactor !== 1 ? `time ×${a.timeFactor}` : '',
    a.extraDays ? `+${a.extraDays} d` : '',
    a.extraAttempts ? `+${a.extraAttempts} tries` : '',
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <section>
    <div class="flex gap-3 items-center mb-2 flex-wrap">
      <UInput
        v-model="word"
        class="!w-56"
        icon="i-lucide-search"
        placeholder="Find a learner"
        aria-label="Find a learner"
      />
      <NewGroup v-if="page.mayRun" :class-id="page.id" :others="others" @made="emit('changed')" />
      <UDropdownMenu v-if="page.mayRun && learners.length" :items="gradings" :ui="{ content: 'max-h-72' }"
        ><UButton color="neutral" variant="ghost" data-hook="grade-all"
          >Grade of {{ count(learners.length, 'learner') }}</UButton
        ></UDropdownMenu
      >
      <GroupsMenu v-if="page.mayRun && page.groups.length" :page="page" @changed="emit('changed')" />
    </div>
    <div class="overflow-x-auto scroll-px-20">
      <table class="grid-table roster">
        <thead>
          <tr>
            <th scope="col">Learner</th>
            <th scope="col">Sign-in</th>
            <th scope="col" class="group">Grade</th>
            <th v-for="g in page.groups" :key="g.id" scope="col" class="group">
              {{ g.name
              }}<span class="said block font-normal"
                >{{ sayMembers(g) }}<template v-if="g.rule">: {{ sayGroupRule(g.rule) }}</template></span
              >
            </th>
            <th scope="col">Accommodation</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="l in learners" :key="l.id">
            <tr>
              <th scope="row" class="font-semibold whitespace-nowrap">
                <div class="flex items-center gap-1">
                  <LearnerActs v-if="page.mayRun" :page="page" :learner="l" @changed="emit('changed')" />
                  {{ l.name }}
                </div>
              </th>
              <td class="code said">{{ l.signIn ?? 'not joined yet' }}</td>
              <td class="group">{{ l.grade ?? '' }}</td>
              <td v-for="g in page.groups" :key="g.id" class="group">
                <UCheckbox
                  :model-value="l.groupIds.includes(g.id)"
                  :disabled="!page.mayRun || g.rule !== null"
                  :aria-label="`${l.name} in ${g.name}`"
                  @update:model-value="toggle(l, g.id, $event === true)"
                />
              </td>
              <td>
                <span v-if="sayExtra(l)">{{ sayExtra(l) }} </span><UButton
                  v-if="page.mayRun"
                  size="xs"
                  color="neutral"
                  variant="ghost"
                  :aria-label="`${sayExtra(l) ? 'Change' : 'Set'} grade and accommodation of ${l.name}`"
                  @click="edit(l)"
                  >{{ sayExtra(l) ? 'Change' : 'Set' }}</UButton
                >
              </td>
            </tr>
            <tr v-if="editing === l.id">
              <td :colspan="page.groups.length + 4">
                <LearnerTerms :class-id="page.id" :learner="l" :today="today" @saved="saved" />
              </td>
            </tr>
          </template>
          <tr v-if="page.learners.length === 0">
            <td :colspan="page.groups.length + 4">
              Nobody yet. Add learners below, or give them the joining code
              <b class="code">{{ page.joinCode }}</b>.
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.roster {
  width: auto;
  min-width: 40rem;
}
.roster :is(th, td) {
  vertical-align: middle;
}
.group {
  text-align: center !important;
  min-width: 5.5rem;
}
.group :deep([data-slot='root']) {
  justify-content: center;
}
</style>
