<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, shallowRef } from 'vue'
import type { AssignmentId, PieceId, UserId } from '#core/base'
import { ListRecipients } from '#shared/contracts/work'
import { isSupportItem } from '#core/versions'
import { AnswerInput, FillIn, PieceMaterial, PieceScreen, SupportPanel, WorkPlaces } from '~/places/learner'
import FileList from '~/shared/fields/FileList.vue'
import { useDesk } from '~/places/pace'
import { call } from '~/shared/wire/call'
import LatelyAtWork from './components/LatelyAtWork.vue'
import LensBand from './components/LensBand.vue'
import LensSide from './components/LensSide.vue'
import { useLens } from './composables/lens'

const { address, view, piece, problem, addressWith, look } = useLens()
useHead({ title: computed(() => `Lens${view.value ? `: ${view.value.learner.name}` : ''}`) })
const desk = useDesk()
const people = shallowRef<{ label: string; value: string }[]>([])
onMounted(async () => {
  const [reply] = await Promise.all([call(ListRecipients), desk.load()])
  if (!reply.ok) return
  const named = reply.value.classes.flatMap((c) =>
    c.learners.map((l) => [l.id, { label: `${l.name}, ${c.name}`, value: l.id as string }] as const),
  )
  people.value = [...new Map(named).values()].sort((a, b) => a.label.localeCompare(b.label))
})
/** Whoever is looked at is among the names, also who is not the asker's own to assign to. */
const named = computed(() => {
  const of = view.value?.learner
  if (!of || people.value.some((p) => p.value === of.id)) return people.value
  return [...people.value, { label: of.name, value: of.id as string }]
})
const meetings = computed(() => new Map(desk.columns.map((c) => [c.of.id as string, c.calendar.meetings])))
const items = computed(() => piece.value?.open?.items ?? [])
const toWork = (work: AssignmentId) => addressWith({ work, piece: null })
const toPiece = (id: PieceId) => addressWith({ piece: id })
</script>

<template>
  <div>
    <LensBand
      v-if="view"
      :view="view"
      :people="named"
      :meetings="meetings"
      @at="look({ at: $event })"
      @learner="look({ learner: $event, work: null, piece: null })"
    />
    <div v-else class="px-5 py-4 grid gap-3">
      <h1>Lens</h1>
      <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      <template v-else-if="address.learner === null">
        <p>See what one of your learners sees, now or at any other time, and why.</p>
        <USelectMenu
          :items="people"
          value-key="value"
          class="w-76"
          placeholder="Choose a learner"
          aria-label="Choose a learner"
          data-hook="lens-choose"
          @update:model-value="look({ learner: $event as UserId })"
        />
        <LatelyAtWork />
      </template>
      <p v-else class="said">Opening …</p>
    </div>
    <div v-if="view" class="two">
      <div class="screen" data-hook="lens-screen">
        <template v-if="address.work !== null">
          <PieceScreen v-if="piece" :of="piece" :now="piece.now" :link-to="toPiece">
            <template #back
              ><NuxtLink class="plain text-sm" :to="addressWith({ work: null, piece: null })"
                >Their work</NuxtLink
              ></template
            >
            <template #open>
              <p class="note-line care my-3">They are at it. These are the answers that are saved.</p>
              <PieceMaterial :material="piece.material" :content="piece.content" :support="piece.support" />
              <SupportPanel v-if="piece.support" :support="piece.support" />
              <FillIn
                v-for="item in items.filter(isSupportItem)"
                :key="item.id"
                :item="item"
                :organisers="piece.support?.organisers ?? []"
                :answer="piece.open?.answers[item.id]"
                :elsewhere="undefined"
                is-final
                :spelling="false"
              />
              <AnswerInput
                v-for="(item, i) in items.filter((one) => !isSupportItem(one))"
                :key="item.id"
                :item="item"
                :number="i + 1"
                :answer="piece.open?.answers[item.id]"
                is-final
                :spelling="false"
              />
            </template>
            <template #reading>
              <SupportPanel v-if="piece.support" :support="piece.support" />
              <PieceMaterial
                class="my-4"
                :material="piece.material"
                :content="piece.content"
                :support="piece.support"
              />
              <FileList v-if="piece.files?.length" :files="piece.files" />
            </template>
            <template #files><FileList v-if="piece.files?.length" :files="piece.files" /></template>
            <template #begin
              ><p class="note-line fine my-3">
                Here they can {{ piece.piece.triesUsed ? 'try again' : 'begin' }}.
              </p></template
            >
          </PieceScreen>
          <div v-else class="pt-4 grid gap-2">
            <p>At this time they do not see it. Why, stands at the side.</p>
            <NuxtLink class="plain" :to="addressWith({ work: null, piece: null })">Their work</NuxtLink>
          </div>
        </template>
        <div v-else class="grid gap-7 pt-4">
          <WorkPlaces
            :work="view.work"
            :now="view.at"
            :zone="view.zone"
            :headings="view.headings"
            :link-to="toWork"
          />
        </div>
      </div>
      <LensSide :view="view" :work="address.work" :piece="address.piece" @at="look({ at: $event })" />
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 21rem;
  gap: 2rem;
  padding: 0.5rem 1.25rem 2rem;
}
.screen {
  max-width: 46rem;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
