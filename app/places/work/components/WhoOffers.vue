<script setup lang="ts">
import { computed } from 'vue'
import type { LessonId } from '#core/base'
import type { Recipients } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { count } from '~/shared/words/numbers'
import { targetOf } from '../draft'
import type { DraftInWork } from '../draft'
import { offeredClasses, withTargets, withoutRow } from '../targetRows'
import type { OfferedClass } from '../targetRows'

/** Who else might get it, in one press; and a row of their own for somebody of a class that does. */
const props = defineProps<{
  recipients: Recipients
  start: LessonId | null
  /** Learners share a row. */
  isShared: boolean
}>()
const emit = defineEmits<{ apart: []; picked: [key: string] }>()
const draft = defineModel<DraftInWork>({ required: true })
const desk = useDesk()

/** Other classes that might get it. */
const planId = computed(() => desk.plans.find((p) => p.lessons.some((l) => l.id === props.start))?.id ?? null)
const offered = computed(() =>
  offeredClasses(draft.value, props.recipients, {
    desk: desk.classes.filter((c) => c.mayChange),
    planId: planId.value,
  }),
)
const offeredLearners = computed(() => offered.value.reduce((sum, c) => sum + c.learners.length, 0))
function addClasses(classes: readonly OfferedClass[]): void {
  draft.value = withTargets(
    draft.value,
    classes.map((c) => ({ kind: 'class', classId: c.id })),
  )
}
const rowless = computed(() => [...withoutRow(draft.value, props.recipients)])
/** No value, said as null: left undefined the field would keep what was picked, and show its key. */
const NONE = null as unknown as undefined
let picked: string | null = null
/** What is picked becomes a row, and the field is empty again. */
function pick(key: unknown): void {
  if (typeof key !== 'string') return
  draft.value = withTargets(draft.value, [targetOf(key)])
  picked = key
}
/** A list that closes gives the focus back to its field; only then it can go on to the new row. */
function given(): void {
  const key = picked
  if (key === null) return
  requestAnimationFrame(() =>
    requestAnimationFrame(() => {
      if (picked === key) emit('picked', key)
      picked = null
    }),
  )
}
</script>

<template>
  <div>
    <div v-if="offered.length" class="offers" data-hook="offered-classes">
      <span class="said">{{ draft.targets.length ? 'Also' : 'To whom?' }}</span>
      <UButton
        v-for="c in offered.slice(0, 8)"
        :key="c.id"
        size="xs"
        variant="outline"
        :data-offered="c.id"
        @click="addClasses([c])"
        >{{ c.name }}, {{ count(c.learners.length, 'learner') }}</UButton
      >
      <UButton
        v-if="offered.length > 1"
        size="xs"
        variant="outline"
        color="neutral"
        data-hook="all-offered"
        @click="addClasses(offered)"
        >{{ offered.length === 2 ? 'Both' : `All ${offered.length}` }}:
        {{ count(offeredLearners, 'learner') }}</UButton
      >
    </div>
    <div v-if="rowless.length || isShared" class="offers">
      <USelectMenu
        v-if="rowless.length"
        :model-value="NONE"
        :items="rowless"
        value-key="value"
        size="sm"
        class="w-76 max-w-full"
        icon="i-lucide-plus"
        placeholder="Somebody needs other dates or more time"
        aria-label="Somebody needs other dates or more time"
        data-hook="own-row"
        :search-input="{ placeholder: 'Name or group' }"
        @update:model-value="pick"
        @focus="given"
      />
      <UButton
        v-if="isShared"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="one-by-one"
        @click="emit('apart')"
        >Show learners one by one</UButton
      >
    </div>
  </div>
</template>

<style scoped>
.offers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
  margin-top: 0.5rem;
}
</style>
