<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, onMounted, ref } from 'vue'
import type { LessonId, PlanId, ResourceId, StandingId } from '#core/base'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { count } from '~/shared/words/numbers'
import { WHEN_WORDS } from '~/shared/words/pieces'
import LayPanel from './components/standing/LayPanel.vue'
import PlanOffers from './components/standing/PlanOffers.vue'
import StandingInspector from './components/standing/StandingInspector.vue'
import { useStanding } from './composables/standing'
import { sayStandingWindow } from './words/standing'

/** The work that goes with a plan's lessons in every class it is laid on. */
const route = useRoute()
const planId = String(route.params.planId) as PlanId
const { said, problem, busy, add, change, lay, answer, byLesson, offers, pieceOf } = useStanding(planId)
useHead({ title: computed(() => `Standing work of ${said.value?.plan.title ?? 'a plan'}`) })
const shelf = useShelf()
const desk = useDesk()
onMounted(() => Promise.all([shelf.load(), desk.load()]))
const chosen = ref<LessonId | null>(null)
const laying = ref(false)
function toggleLaying(): void {
  laying.value = !laying.value
}
const numberOf = (id: LessonId) =>
  said.value?.plan.lessons.find((l) => l.id === id)?.number ?? 'another lesson'
const units = computed(() =>
  (said.value?.plan.units ?? []).map((u) => ({
    ...u,
    lessons: (said.value?.plan.lessons ?? []).filter((l) => l.unitId === u.id),
  })),
)
const withChanges = computed(() => offers.value.filter((o) => o.open.length + o.left.length > 0))
/** In how many classes a piece is laid. */
const laidIn = computed(() => {
  const counts = new Map<StandingId, number>()
  for (const h of said.value?.has ?? [])
    if (h.assignmentId) counts.set(h.standingId, (counts.get(h.standingId) ?? 0) + 1)
  return counts
})
async function layNow(input: Parameters<typeof lay>[0]): Promise<void> {
  if (await lay(input)) laying.value = false
}
const minutesOf = (pieces: readonly { readonly resourceId: ResourceId }[]) =>
  pieces.reduce((sum, p) => sum + (pieceOf.value.get(p.resourceId)?.minutes ?? 0), 0)
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1 min-w-60">
        <p class="said">
          <NuxtLink class="plain" to="/classes/plans">Plans</NuxtLink> ·
          <NuxtLink class="plain" :to="`/classes/plan/${planId}`">{{ said?.plan.title ?? 'Plan' }}</NuxtLink>
        </p>
        <h1>Standing work</h1>
      </div>
      <UButton
        v-if="said?.classes.some((c) => c.mayChange) && said.standing.length"
        data-hook="open-lay"
        :aria-expanded="laying"
        @click="toggleLaying"
        >Lay on classes</UButton
      >
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!said" class="said">Opening …</p>
    <template v-else>
      <p class="said">
        {{ count(said.standing.length, 'piece') }} that go with the lessons of this plan. Laid on a class they
        become its own work and go out by themselves as its lessons come; what you change here is then offered
        to each class.
      </p>
      <LayPanel v-if="laying" :of="said" :busy="busy" @close="laying = false" @lay="layNow" />
      <PlanOffers
        v-for="o in withChanges"
        :key="o.of.id"
        :of="said"
        :room="o.of"
        :open="o.open"
        :left="o.left"
        :busy="busy"
        @answer="(ids, take) => void answer(o.of.id, ids, take)"
      />
      <div class="split" :class="{ two: chosen }">
        <div class="grid gap-4">
          <section v-for="u in units" :key="u.id" :aria-label="`${u.number} ${u.title}`">
            <h2>{{ u.number }} {{ u.title }}</h2>
            <ul>
              <li v-for="l in u.lessons" :key="l.id" class="lesson" :class="{ on: l.id === chosen }">
                <button
                  type="button"
                  class="head"
                  :aria-pressed="l.id === chosen"
                  :data-hook="`standing-${l.number}`"
                  @click="chosen = l.id"
                >
                  <span class="code">{{ l.number }}</span> {{ l.title }}
                </button>
                <div class="pieces">
                  <p v-for="s in byLesson.get(l.id) ?? []" :key="s.id">
                    {{ s.piece.title }}
                    <span class="said">
                      {{ WHEN_WORDS[s.piece.pieces[0]?.when ?? 'after'] }} ·
                      {{ minutesOf(s.piece.pieces) }} min ·
                      {{ sayStandingWindow(s.piece.window, l.id, numberOf)
                      }}<template v-if="laidIn.get(s.id)">
                        · laid on {{ count(laidIn.get(s.id) ?? 0, 'class', 'classes') }}</template
                      ></span
                    >
                  </p>
                  <p v-if="!byLesson.get(l.id)" class="said">nothing</p>
                </div>
              </li>
            </ul>
          </section>
        </div>
        <StandingInspector
          v-if="chosen"
          :of="said"
          :lesson-id="chosen"
          :standing="byLesson.get(chosen) ?? []"
          @close="chosen = null"
          @add="(pieces) => void add(pieces)"
          @change="(id, piece) => void change(id, piece)"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.split {
  display: grid;
  gap: 1rem;
  grid-template-columns: minmax(0, 1fr);
  align-items: start;
}
.split.two {
  grid-template-columns: minmax(0, 1fr) minmax(18rem, 25rem);
}
.lesson {
  display: grid;
  grid-template-columns: minmax(10rem, 17rem) minmax(0, 1fr);
  gap: 0.75rem;
  border-bottom: 1px solid var(--ui-border);
  padding: 0.3rem 0;
  font-size: var(--text-sm);
}
.lesson.on {
  background: color-mix(in oklab, var(--ui-primary) 7%, transparent);
}
.head {
  text-align: left;
  cursor: pointer;
  min-height: 1.75rem;
}
.head:hover {
  text-decoration: underline;
}
@media (max-width: 900px) {
  .split.two,
  .lesson {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
