<script setup lang="ts">
import { computed, ref } from 'vue'
import { pieceName } from '#core/attempts'
import type { IsoDay, UserId } from '#core/base'
import type { More } from '#core/work'
import type { ClassGrid, GridColumn } from '#shared/contracts/evidence'
import { GiveMore } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayDay, zoneNamed } from '~/shared/words/times'
import { sayToScore, scoringQueue, waitingIn } from '../scoringLink'
import EvidencePanel from './EvidencePanel.vue'
import RecommendPiece from './RecommendPiece.vue'

const props = defineProps<{ grid: ClassGrid; column: GridColumn; learnerIds: readonly UserId[] }>()
const emit = defineEmits<{ close: []; done: [] }>()
const desk = useDesk()
const tell = useTell()
const busy = ref(false)
const until = ref<IsoDay | null>(null)
const today = computed(() => zoneNamed(props.grid.zone).local(props.grid.now).on)
const marks = computed(() => marksOf(desk.year))

const chosen = computed(() => props.grid.learners.filter((l) => props.learnerIds.includes(l.id)))
const who = computed(() =>
  chosen.value.length === 1 ? (chosen.value[0]?.name ?? '') : count(chosen.value.length, 'learner'),
)
const cells = computed(() =>
  props.grid.cells.filter(
    (c) => pieceName(c) === pieceName(props.column) && props.learnerIds.includes(c.learnerId),
  ),
)
const areAllWithout = computed(() => cells.value.every((c) => c.state === 'not-for-them'))
const areAllExcused = computed(() => props.learnerIds.every((id) => props.column.excusedIds.includes(id)))

/** To the texts that a person scores, while some of these wait. */
const toScore = computed(() => sayToScore(waitingIn(cells.value)))
/** To the composer, with these learners. */
const assignTo = computed(() => ({
  path: '/work/new',
  query: { learners: props.learnerIds.join(','), class: props.grid.classId },
}))
/** To what the one learner who is chosen sees. */
const lens = computed(() => {
  const [only, ...more] = props.learnerIds
  return only && more.length === 0 ? `/lens?learner=${only}&work=${props.column.assignmentId}` : null
})

async function give(more: More, said: string): Promise<void> {
  busy.value = true
  const reply = await call(GiveMore, {
    params: { assignmentId: props.column.assignmentId },
    body: { learnerIds: [...props.learnerIds], more },
  })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  await desk.load(true)
  tell.done(reply.value.learners > 0 ? `${who.value}: ${said}` : `${who.value}: as much time already`)
  emit('done')
}
const giveTry = () => give({ kind: 'try', pieceId: props.column.pieceId }, 'one more try')
async function giveTime(): Promise<void> {
  if (until.value) await give({ kind: 'until', on: until.value }, `time through ${sayDay(until.value)}`)
}
</script>

<template>
  <EvidencePanel
    class="grid gap-4 content-start"
    label="What was chosen"
    :title="who"
    :about="column.pieceTitle ?? column.title"
    close-label="Close what was chosen"
    data-hook="chosen-cells"
    @close="emit('close')"
  >
    <p v-if="areAllWithout && !areAllExcused">Does not have this work.</p>
    <template v-else-if="areAllExcused">
      <p>Left out of it.</p>
      <UButton
        class="justify-self-start"
        variant="outline"
        :loading="busy"
        data-hook="not-excused"
        @click="give({ kind: 'not-excused' }, 'have it again')"
        >Give it again</UButton
      >
    </template>
    <template v-else>
      <UButton
        v-if="!column.isRead"
        class="justify-self-start"
        :loading="busy"
        data-hook="give-try"
        @click="giveTry"
        >One more try</UButton
      >
      <div class="flex flex-wrap items-end gap-2">
        <UFormField label="Time through" help="Due then; open again if it has closed."
          ><DayField
            v-model="until"
            label="Time through"
            may-be-empty
            :today="today"
            :min="today"
            :marks="marks"
        /></UFormField>
        <UButton
          class="mb-6"
          variant="outline"
          :loading="busy"
          :disabled="!until"
          data-hook="give-time"
          @click="giveTime"
          >Give</UButton
        >
      </div>
      <UButton
        class="justify-self-start"
        color="neutral"
        variant="outline"
        :loading="busy"
        data-hook="excuse"
        @click="give({ kind: 'excused' }, 'left out')"
        >Leave out</UButton
      >
      <p class="said">
        Who is left out keeps what they have done, and it counts nowhere. Everything here can be undone. Ctrl
        and click, or Ctrl and Enter, takes in further learners of this column.
      </p>
    </template>
    <UButton
      v-if="toScore"
      class="justify-self-start"
      icon="i-lucide-pen-line"
      :to="scoringQueue({ ...column, classId: grid.classId })"
      data-hook="cell-to-queue"
      >{{ toScore }}</UButton
    >
    <RecommendPiece
      v-if="!areAllWithout"
      :resource-id="column.resourceId"
      :learner-ids="learnerIds"
      :who="who"
      @done="emit('done')"
    />
    <UButton
      class="justify-self-start"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      :to="assignTo"
      data-hook="assign-to-chosen"
      >Assign something to {{ learnerIds.length === 1 ? 'them alone' : 'these' }}</UButton
    >
    <UButton
      v-if="lens"
      class="justify-self-start"
      color="neutral"
      variant="ghost"
      icon="i-lucide-eye"
      :to="lens"
      data-hook="to-lens"
      >See what they see</UButton
    >
  </EvidencePanel>
</template>
