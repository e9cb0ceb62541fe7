<script setup lang="ts">
import { useHead } from '#imports'
import { computed, ref, shallowRef, watch } from 'vue'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import type { AssignmentId, ClassId, PieceId, UserId } from '#core/base'
import { ShowGrid } from '#shared/contracts/evidence'
import type { GridColumn } from '#shared/contracts/evidence'
import { ShowFollowUp } from '#shared/contracts/followUp'
import type { FollowUpPage } from '#shared/contracts/followUp'
import { useDesk } from '~/places/pace'
import { useAddress } from '~/shared/frame/address'
import { call } from '~/shared/wire/call'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import UnderEvidence from './components/UnderEvidence.vue'
import EarlierFollowUp from './components/followUp/EarlierFollowUp.vue'
import FollowUpTable from './components/followUp/FollowUpTable.vue'
import FollowUpTerms from './components/followUp/FollowUpTerms.vue'
import GiveFollowUp from './components/followUp/GiveFollowUp.vue'
import { sayPieceIn } from './cellWords'
import { useProposing } from './composables/proposing'
import { sayNothingProposed, sayUnanswered } from './followUpWords'

/** Who gets what after a check: proposed from what each missed, looked through, and given as one work. */
const address = useAddress()
const classId = address.id<ClassId>('class')
const columns = shallowRef<readonly GridColumn[] | null>(null)
const className = ref('')
const page = shallowRef<FollowUpPage | null>(null)
const problem = ref('')
useHead({ title: computed(() => `Follow-up${page.value ? ` of ${page.value.title}` : ''}`) })
/** Which piece is followed up: the one that is named, else the last that somebody has a score for. */
const check = computed(() => {
  const [assignmentId, pieceId] = [address.id<AssignmentId>('work'), address.id<PieceId>('piece')]
  if (assignmentId && pieceId) return { assignmentId, pieceId }
  return columns.value?.findLast((c) => c.mean !== null) ?? null
})
async function loadColumns(): Promise<void> {
  if (!classId) return
  const reply = await call(ShowGrid, { params: { classId } })
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  columns.value = reply.value.columns.filter((c) => !c.isRead)
  className.value = reply.value.name
}
async function load(): Promise<void> {
  const of = check.value
  if (!classId || !of) return
  const { assignmentId, pieceId } = of
  const isStill = (other: NamedPiece | null) => other !== null && pieceName(other) === pieceName(of)
  if (!isStill(page.value)) page.value = null
  const reply = await call(ShowFollowUp, { params: { classId, assignmentId, pieceId } })
  if (!isStill(check.value)) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) page.value = reply.value
}
void loadColumns()
watch(() => check.value && pieceName(check.value), load, { immediate: true })
const desk = useDesk()
// undo takes back what was given here
watch(() => desk.steps, load)
const checkItems = computed(() =>
  (columns.value ?? [])
    .filter((c) => c.mean !== null)
    .toReversed()
    .map((c) => ({
      value: pieceName(c),
      label: sayPieceIn(c),
    })),
)
function goTo(name: string): void {
  const column = columns.value?.find((c) => pieceName(c) === name)
  if (column) void address.put({ work: column.assignmentId, piece: column.pieceId })
}
const { terms, groups, accepted, unanswered, scored, nothingMissed, unscored, accept, choose } = useProposing(
  () => page.value,
)
const names = computed(() => new Map(page.value?.learners.map((l) => [l.id, l.name])))
const nameOf = (id: UserId) => names.value.get(id) ?? ''
const notAnswered = computed(() => sayUnanswered(unanswered.value, nameOf))
</script>

<template>
  <div class="page-plain">
    <UnderEvidence :class-id="classId" :about="className">Follow-up</UnderEvidence>
    <div v-if="checkItems.length" class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <label class="flex items-center gap-2 min-w-0"
        ><span class="said">After</span>
        <USelect
          :items="checkItems"
          :model-value="check ? pieceName(check) : undefined"
          class="w-96 max-w-full"
          data-hook="follow-up-of"
          @update:model-value="goTo"
        />
      </label>
      <span v-if="page" class="said" data-hook="scored">
        {{ scored.length }} of {{ count(page.reached, 'learner') }}
        {{ scored.length === 1 ? 'has' : 'have' }} a score{{
          nothingMissed.length ? `, ${nothingMissed.length} of them missed nothing that matters` : ''
        }}.
      </span>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="columns && !check" data-hook="nothing-scored">
      Nobody has a score in this class yet. What is missed in a check can be followed up here.
    </p>
    <p v-else-if="!page" class="said">Opening …</p>
    <template v-else>
      <FollowUpTerms v-model="terms" :nothing-missed="nothingMissed.length" />
      <GiveFollowUp v-if="groups.length" :page="page" :accepted="accepted" @given="load" />
      <FollowUpTable v-if="groups.length" :page="page" :groups="groups" @accept="accept" @choose="choose" />
      <p v-else-if="scored.length > 0" data-hook="nothing-proposed">
        {{ sayNothingProposed(unanswered.length, page.earlier.length) }}
      </p>
      <section v-if="notAnswered.length" class="text-sm" data-hook="unanswered">
        <h2>Not answered</h2>
        <ul>
          <li v-for="line in notAnswered" :key="line">{{ line }}</li>
        </ul>
      </section>
      <p v-if="unscored.length && unscored.length * 2 < page.reached" class="said">
        Without a score: {{ sayList(unscored.map(nameOf)) }}.
      </p>
      <EarlierFollowUp :earlier="page.earlier" :zone="page.zone" />
    </template>
  </div>
</template>
