<script setup lang="ts">
import { computed } from 'vue'
import type { AssignmentId, Instant, IsoDay, PieceId, UserId } from '#core/base'
import { GiveMore } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { marksOf } from '~/shared/fields/marks'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayDay, zoneNamed } from '~/shared/words/times'
import { sayNeeding } from '../whoNeedsAgain'
import type { Needing } from '../whoNeedsAgain'
import ReopenDialog from './ReopenDialog.vue'

/** Opens a piece again for those who are missing or low in it: one act, with the list first. */
const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId
  title: string
  needing: readonly Needing[]
  now: Instant
}>()
const emit = defineEmits<{ done: [] }>()
const ask = useDialogs()
const desk = useDesk()
const tell = useTell()
const today = computed(() => zoneNamed(desk.zone).local(props.now).on)

async function reopen(): Promise<void> {
  const { title, needing, assignmentId, pieceId } = props
  const again = await ask<{ readonly learnerIds: readonly UserId[]; readonly on: IsoDay }>(ReopenDialog, {
    title,
    needing,
    today: today.value,
    marks: marksOf(desk.year),
  })
  if (!again) return
  const { learnerIds, on } = again
  const reply = await call(GiveMore, {
    params: { assignmentId },
    body: { learnerIds: [...learnerIds], more: { kind: 'again', pieceId, on } },
  })
  if (!reply.ok) return tell.refused(reply.error)
  await desk.load(true)
  tell.done(`Open again for ${count(learnerIds.length, 'learner')}, through ${sayDay(on)}`)
  emit('done')
}
</script>

<template>
  <section class="mt-3 flex flex-wrap items-center gap-x-3 gap-y-1" data-hook="reopen">
    <UButton
      color="neutral"
      variant="outline"
      icon="i-lucide-rotate-ccw"
      data-hook="reopen-open"
      @click="reopen"
      >Open it again for {{ count(needing.length, 'learner') }}</UButton
    >
    <span class="said">{{ sayNeeding(needing) }}</span>
  </section>
</template>
