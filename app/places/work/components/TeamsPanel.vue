<script setup lang="ts">
import { computed, ref } from 'vue'
import type { UserId } from '#core/base'
import { madeTeams } from '#core/work'
import type { Mixing } from '#core/work'
import { StandOfRecipients } from '#shared/contracts/work'
import type { Preview } from '#shared/contracts/work'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../draft'
import { inTeam, teamsByClass, unteamed } from '../teams'

/** Who works together: teams are made for each class at once, and then changed learner by learner. */
const props = defineProps<{ preview: Preview | null }>()
const draft = defineModel<DraftInWork>({ required: true })
const tell = useTell()
const size = ref('2')
const mixing = ref<Mixing>('by-chance')
const busy = ref(false)
/** Another draw at each press. */
const seed = ref(1)
const SIZES = [
  { value: '2', label: 'pairs' },
  { value: '3', label: 'threes' },
  { value: '4', label: 'fours' },
  { value: '5', label: 'fives' },
]
const MIXINGS = [
  { value: 'by-chance', label: 'by chance' },
  { value: 'by-standing', label: 'strong with less strong' },
]
const classes = computed(() => teamsByClass(draft.value.teams, props.preview))
const alone = computed(() => unteamed(draft.value.teams, props.preview))

async function standing(): Promise<ReadonlyMap<UserId, number>> {
  if (mixing.value === 'by-chance') return new Map()
  const resourceIds = draft.value.pieces.map((p) => p.resourceId)
  const reply = await call(StandOfRecipients, { body: { resourceIds, category: '' } })
  if (!reply.ok) {
    tell.refused(reply.error)
    return new Map()
  }
  return new Map(reply.value.learners.flatMap((l) => (l.standing ? [[l.id, l.standing.share]] : [])))
}
async function make(): Promise<void> {
  busy.value = true
  const known = await standing()
  busy.value = false
  const of = new Map((props.preview?.who ?? []).map((w) => [w.learnerId, w.classId]))
  const teams = [...new Set(of.values())].flatMap((classId) => {
    const learners = [...of].filter(([, c]) => c === classId).map(([id]) => id)
    return madeTeams(learners, Number(size.value), seed.value, { mixing: mixing.value, standing: known })
  })
  seed.value++
  draft.value = { ...draft.value, teams }
}
function put(learnerId: UserId, team: unknown): void {
  draft.value = { ...draft.value, teams: inTeam(draft.value.teams, learnerId, Number(team)) }
}
</script>

<template>
  <section aria-labelledby="teams" class="grid gap-2" data-hook="teams">
    <h2 id="teams">
      Teams <span class="said font-normal">{{ count(draft.teams.length, 'team') }}</span>
    </h2>
    <form class="flex flex-wrap gap-2 items-center" @submit.prevent="make">
      <UButton
        type="submit"
        size="sm"
        variant="outline"
        :loading="busy"
        :disabled="!preview?.who.length"
        data-hook="make-teams"
        >{{ draft.teams.length ? 'Make them anew' : 'Make teams' }}</UButton
      >
      <USelect v-model="size" size="sm" class="!w-28" :items="SIZES" aria-label="Size of the teams" />
      <USelect v-model="mixing" size="sm" class="!w-52" :items="MIXINGS" aria-label="How they are mixed" />
    </form>
    <p v-if="draft.teams.length === 0" class="said">
      Until there are teams, everybody hands in alone. What one of a team hands in counts for all of it, also
      from one shared device; afterwards each is judged on their own.
    </p>
    <template v-else>
      <p v-if="alone.length" class="note-line care" data-hook="unteamed">
        Working alone: {{ alone.map((l) => l.name).join(', ') }}.
      </p>
      <div v-for="c in classes" :key="c.classId">
        <h3>{{ c.name }}</h3>
        <ol class="teams">
          <li v-for="t in c.teams" :key="t.index" data-hook="team">
            <span class="said">{{ t.index + 1 }}</span>
            <div class="grid gap-1">
              <div v-for="l in t.learners" :key="l.id" class="flex gap-1 items-center">
                <span class="flex-1 min-w-0">{{ l.name }}</span>
                <USelect
                  size="xs"
                  class="!w-18 flex-none"
                  :model-value="String(t.index)"
                  :items="c.choices"
                  :aria-label="`Team of ${l.name}`"
                  @update:model-value="put(l.id, $event)"
                />
              </div>
            </div>
          </li>
        </ol>
      </div>
    </template>
  </section>
</template>

<style scoped>
.teams {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14.5rem, 1fr));
  gap: 0.4rem 1rem;
}
.teams li {
  display: grid;
  grid-template-columns: 1.4rem minmax(0, 1fr);
  font-size: var(--text-sm);
  border-top: 1px solid var(--ui-border);
  padding-top: 0.3rem;
}
</style>
