<script setup lang="ts">
import { useHead } from '#imports'
import { computed, shallowRef, watch } from 'vue'
import type { ClassId, UserId } from '#core/base'
import { ShowClassPractice, ShowGrid } from '#shared/contracts/evidence'
import { ShowStandardsMap } from '#shared/contracts/standardsMap'
import { ShowClass } from '#shared/contracts/teaching'
import type { ClassPage } from '#shared/contracts/teaching'
import { useAddress } from '~/shared/frame/address'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import RecordStandards from './components/record/RecordStandards.vue'
import RecordWork from './components/record/RecordWork.vue'
import { learnerRecord } from './learnerRecord'
import type { LearnerRecord } from './learnerRecord'
import { sayWhole } from './wholeWords'

/** How one learner stands, and what next: a page that can be printed for a talk. Nothing compares them with others. */
const address = useAddress()
const classId = computed(() => address.id<ClassId>('class'))
const learnerId = computed(() => address.id<UserId>('learner'))
interface Shown {
  readonly record: LearnerRecord
  readonly page: ClassPage
  readonly zone: string
}
const shown = shallowRef<Shown | null>(null)
const problem = shallowRef('')
useHead({ title: computed(() => `Record of ${shown.value?.record.name ?? 'a learner'}`) })
async function load(): Promise<void> {
  const [ofClass, who] = [classId.value, learnerId.value]
  if (!ofClass || !who) return
  const params = { classId: ofClass }
  const [grid, map, practice, page] = await Promise.all([
    call(ShowGrid, { params }),
    call(ShowStandardsMap, { params }),
    call(ShowClassPractice, { params }),
    call(ShowClass, { params }),
  ])
  if (who !== learnerId.value || ofClass !== classId.value) return
  const failed = [grid, map, practice, page].find((reply) => !reply.ok)
  if (failed?.ok === false) problem.value = sayRefusal(failed.error)
  if (!grid.ok || !map.ok || !practice.ok || !page.ok) return
  const record = learnerRecord(who, { grid: grid.value, map: map.value, practice: practice.value })
  problem.value = record ? '' : 'This learner is not in the class, or not any more.'
  shown.value = record && { record, page: page.value, zone: grid.value.zone }
}
watch([classId, learnerId], load, { immediate: true })
const learner = computed(() => shown.value?.page.learners.find((l) => l.id === learnerId.value))
/** What was done for them, in words. */
const terms = computed(() => {
  const of = learner.value
  if (!of) return []
  const { timeFactor, extraDays, extraAttempts } = of.accommodation
  const groups = (shown.value?.page.groups ?? []).filter((g) => of.groupIds.includes(g.id)).map((g) => g.name)
  return [
    ...(of.grade === null ? [] : [`grade ${of.grade}`]),
    ...(groups.length ? [`in ${groups.join(', ')}`] : []),
    ...(timeFactor === 1 ? [] : [`time ×${timeFactor}`]),
    ...(extraDays ? [count(extraDays, 'more day')] : []),
    ...(extraAttempts ? [count(extraAttempts, 'more try', 'more tries')] : []),
  ]
})
const sentence = computed(() => {
  const of = shown.value?.record
  if (!of) return ''
  const ratio = of.whole?.ratio ?? null
  return [
    ratio === null ? 'No scores yet.' : `${percent(ratio)} of all scores together.`,
    of.missing ? `${count(of.missing, 'piece is', 'pieces are')} missing.` : 'Nothing is missing.',
    of.weak.length ? `Below 60 % on ${of.weak.join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
})
const print = () => window.print()
</script>

<template>
  <div class="page-plain record">
    <header class="flex flex-wrap items-end gap-3">
      <div class="flex-1 min-w-60">
        <p class="said">
          <NuxtLink class="plain" :to="{ path: '/evidence', query: classId ? { class: classId } : {} }"
            >Evidence</NuxtLink
          >
          <template v-if="shown"><span class="between"> · </span>{{ shown.page.name }}</template>
        </p>
        <h1>{{ shown?.record.name ?? 'Record' }}</h1>
        <p v-if="terms.length" class="said" data-hook="record-terms">{{ terms.join(' · ') }}</p>
      </div>
      <template v-if="shown && learnerId">
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-eye"
          :to="{ path: '/lens', query: { learner: learnerId } }"
          data-hook="to-lens"
          >What they see</UButton
        >
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-plus"
          :to="{ path: '/work/new', query: { learners: learnerId, class: shown.page.id } }"
          >Give something</UButton
        >
        <UButton color="neutral" variant="outline" icon="i-lucide-printer" @click="print">Print</UButton>
      </template>
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!shown" class="said">Opening …</p>
    <template v-else>
      <p data-hook="record-sentence">{{ sentence }}</p>
      <p v-if="shown.record.whole && shown.record.whole.ratio !== null" class="said">
        {{ sayWhole(shown.record.whole) }}
      </p>
      <div class="parts">
        <RecordWork :work="shown.record.work" :zone="shown.zone" />
        <RecordStandards :record="shown.record" :zone="shown.zone" :class-id="shown.page.id" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 1.4rem;
  align-items: start;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .record :deep(:is(button, .plain[href], a[data-slot], .between)) {
    display: none;
  }
  .parts {
    font-size: 9pt;
  }
}
</style>
