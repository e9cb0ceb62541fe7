<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { BookId, ClassId, PlanId } from '#core/base'
import { AdoptBook, LayPlan } from '#shared/contracts/plans'
import type { Beginning } from '#core/pacing'
import type { LaidOnClasses } from '#shared/contracts/plans'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { useDesk } from '~/places/pace'
import { useServerNow } from '~/shared/session/serverNow'
import { useOverview } from '~/shared/session/overview'
import { useShelf } from '~/places/shelf'
import { call } from '~/shared/wire/call'
import { zoneNamed } from '~/shared/words/times'
import { sayList } from '~/shared/words/lists'
import { count, meetingsOf } from '~/shared/words/numbers'
import { useTakingAway } from './composables/takingAway'
import LayFrom from './components/LayFrom.vue'
import OutlineForm from './components/setup/OutlineForm.vue'
import { PLANNED_CONFLICT, PLANNED_PARTS, plannedOf } from './words/conflicts'

useHead({ title: 'Plans' })
const store = useOverview()
const shelf = useShelf()
const tell = useTell()
const stillMeant = useStillMeant()
const laying = ref<PlanId | null>(null)
const chosen = ref<ClassId[]>([])
const from = ref<Beginning | null>(null)
const outcome = shallowRef<LaidOnClasses | null>(null)
onMounted(() => Promise.all([store.load(true), shelf.load()]))
const plans = computed(() => store.overview?.plans ?? [])
const mine = computed(() => store.overview?.classes.filter((c) => c.mine) ?? [])

/** The own classes to lay a plan onto, each with the plan it has now. */
function classItems(planId: PlanId) {
  return mine.value.map((c) => {
    const other = c.planTitle ? `now has ${c.planTitle}` : 'no plan yet'
    return {
      value: c.id,
      label: `${c.name} (${count(c.learners, 'learner')})`,
      description: c.planId === planId ? 'has this plan' : other,
    }
  })
}
function open(id: PlanId, course: string): void {
  laying.value = laying.value === id ? null : id
  outcome.value = null
  // a colleague's class is theirs to begin; a class that has the plan would begin it anew: only where somebody ticks it
  chosen.value = mine.value
    .filter((c) => c.isOwn && c.planId === null && c.course === course)
    .map((c) => c.id)
  const [only, ...others] = mine.value
  if (chosen.value.length === 0 && only && others.length === 0 && only.planId !== id) chosen.value = [only.id]
}
async function lay(planId: PlanId): Promise<void> {
  const classesNow = () => ({
    value: { classes: mine.value.filter((c) => chosen.value.includes(c.id)).map(plannedOf) },
    version: 0,
  })
  const reply = await stillMeant({
    what: 'the plan of a class',
    act: 'Lay it all the same',
    parts: PLANNED_PARTS,
    words: PLANNED_CONFLICT,
    seen: classesNow(),
    send: ({ value: { classes } }) => {
      const classIds = classes.map((c) => c.id)
      const seen = classes.map((c) => c.planId)
      return call(LayPlan, { params: { planId }, body: { classIds, from: from.value, seen } })
    },
    current: async () => {
      await store.load(true)
      return classesNow()
    },
  })
  if (reply === null) return
  if (!reply.ok) return tell.refused(reply.error)
  outcome.value = reply.value
  await Promise.all([store.load(true), useDesk().load(true)])
}
async function adopt(bookId: BookId): Promise<void> {
  const reply = await call(AdoptBook, { body: { bookId } })
  if (!reply.ok) return tell.refused(reply.error)
  tell.done("The textbook's plan is taken over. Lay it onto classes next.")
  await store.load(true)
}
const year = computed(() => store.overview?.years[0]?.year ?? null)
const now = useServerNow()
const today = computed(() => zoneNamed(store.zone).local(now.value).on)
const { takeAway } = useTakingAway()
const replaces = computed(() =>
  mine.value.filter((c) => chosen.value.includes(c.id) && c.planId !== null && c.planId !== laying.value),
)
</script>

<template>
  <div class="p-5 max-w-4xl grid gap-6">
    <div>
      <p class="said"><NuxtLink class="plain" to="/classes">Classes</NuxtLink></p>
      <h1>Plans</h1>
    </div>
    <section v-if="plans.length" aria-label="Plans of the school">
      <div v-for="p in plans" :key="p.id" class="border-b border-default py-2" data-hook="plan">
        <div class="flex gap-3 items-center">
          <div class="flex-1">
            <b>{{ p.title }}</b>
            <p class="said">
              {{ p.course }} · {{ count(p.lessons, 'lesson') }} · {{ p.meetings }} meetings<template
                v-if="!p.mine"
              >
                · a colleague's</template
              >
            </p>
          </div>
          <UButton
            color="neutral"
            variant="outline"
            :to="`/classes/plan/${p.id}`"
            data-hook="edit-plan"
            :aria-label="`${p.mine ? 'Change' : 'Look at'} ${p.title}`"
            >{{ p.mine ? 'Change' : 'Look at' }}</UButton><UButton
            color="neutral"
            variant="outline"
            :aria-expanded="laying === p.id"
            data-hook="lay"
            @click="open(p.id, p.course)"
            >Lay onto classes</UButton
          ><UButton
            v-if="p.mine"
            color="neutral"
            variant="ghost"
            :aria-label="`Remove ${p.title}`"
            data-hook="remove-plan"
            @click="
              () => {
                void takeAway({ kind: 'plan', id: p.id }, p.title)
              }
            "
            >Remove</UButton
          >
        </div>
        <div v-if="laying === p.id" class="grid gap-2 py-3 pl-3">
          <p v-if="mine.length === 0">
            You have no class yet. <NuxtLink class="plain" to="/classes/new">Make one</NuxtLink> first.
          </p>
          <UCheckboxGroup
            v-else
            v-model="chosen"
            :items="classItems(p.id)"
            legend="Classes"
            data-hook="lay-classes"
          />
          <LayFrom v-if="mine.length && year" v-model="from" :plan-id="p.id" :year="year" :today="today" />
          <p v-if="replaces.length" class="note-line care">
            {{ replaces.map((c) => c.name).join(', ') }}: the plan laid out there is replaced, with its
            changed lengths and its undo history. Work that hangs on its lessons keeps its dates.
          </p>
          <UButton
            v-if="mine.length"
            class="justify-self-start"
            :disabled="chosen.length === 0"
            data-hook="lay-out"
            @click="lay(p.id)"
            >Lay it out</UButton
          >
          <div v-if="outcome" role="status" data-hook="outcome">
            <p v-if="outcome.kept.length" class="note-line care mb-1">
              {{ sayList(outcome.kept) }}
              {{
                outcome.kept.length === 1
                  ? 'has this plan and keeps it as it is'
                  : 'have this plan and keep it as it is'
              }}.
            </p>
            <p class="note-line" :class="outcome.notPlaced.length ? 'needs' : 'fine'">
              <template v-if="outcome.notPlaced.length"
                >{{ count(outcome.placed, 'lesson') }} placed.
                {{ count(outcome.notPlaced.length, 'lesson does', 'lessons do') }} not fit into the year of
                the class with least room.</template
              ><template v-else
                >All {{ count(outcome.placed, 'lesson') }} placed,
                {{ meetingsOf(outcome.slackHalves) }} meetings left over in the class with least
                room.</template
              >
            </p>
            <ul v-if="outcome.notPlaced.length" class="text-sm mt-1 max-h-52 overflow-auto">
              <li v-for="n in outcome.notPlaced" :key="n.lessonId">
                {{ n.number }} {{ n.title }}:
                <template v-if="n.freeHalves !== null"
                  >needs {{ meetingsOf(n.needHalves) }} meetings, {{ meetingsOf(n.freeHalves) }} are
                  left</template
                ><template v-else>comes after one that does not fit</template>
              </li>
            </ul>
            <NuxtLink class="plain" to="/pace">See it on the desk</NuxtLink>
          </div>
        </div>
      </div>
    </section>
    <section v-if="shelf.books.length">
      <h2 class="mb-2">From a textbook</h2>
      <div v-for="b in shelf.books" :key="b.id" class="flex gap-3 items-center py-1.5">
        <span class="flex-1"
          >{{ b.title }} <span class="said">{{ b.course }} · {{ count(b.units.length, 'unit') }}</span></span
        ><UButton color="neutral" variant="outline" @click="adopt(b.id)">Take its ready plan</UButton>
      </div>
    </section>
    <section>
      <h2 class="mb-2">From an outline of your own</h2>
      <OutlineForm @made="store.load(true)" />
    </section>
  </div>
</template>
