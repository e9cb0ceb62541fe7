<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import type { KeptFile } from '#core/library'
import { ListToScore } from '#shared/contracts/evidence'
import type { FileHandedIn } from '#shared/contracts/evidence'
import FileList from '~/shared/fields/FileList.vue'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { sayMoment } from '~/shared/words/times'

/** What learners of a class handed in as files for a piece, by name. */
const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId
  classId: ClassId
  /** There is nothing else to look at. */
  isExpected: boolean
}>()
const overview = useOverview()
const handed = shallowRef<readonly FileHandedIn[]>([])
watch(
  () => [props.assignmentId, props.pieceId, props.classId] as const,
  async ([assignmentId, pieceId, classId]) => {
    const reply = await call(ListToScore, { params: { assignmentId }, query: { classId, pieceId } })
    handed.value = reply.ok ? reply.value.files : []
  },
  { immediate: true },
)
const about = (_: KeptFile, i: number) => {
  const { name = '', handedAt } = handed.value[i] ?? {}
  return handedAt === undefined ? name : `${name}, ${sayMoment(handedAt, overview.zone)}`
}
</script>

<template>
  <section v-if="handed.length" class="my-3 grid gap-2" aria-label="Files handed in" data-hook="files-in">
    <h3>Files handed in</h3>
    <FileList :files="handed.map((h) => h.file)" :about="about" />
  </section>
  <p v-else-if="isExpected" class="said mt-3">Nobody has handed in a file yet.</p>
</template>
