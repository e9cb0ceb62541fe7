<script setup lang="ts">
import { useHead } from '#imports'
import { computed, ref, shallowRef, watch } from 'vue'
import { pieceName } from '#core/attempts'
import type { ClassId, UserId } from '#core/base'
import { ShowGrid } from '#shared/contracts/evidence'
import type { ClassGrid } from '#shared/contracts/evidence'
import { KeepGroups } from '#shared/contracts/grouping'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import UnderEvidence from './components/UnderEvidence.vue'
import PairWishes from './components/split/PairWishes.vue'
import SplitGroup from './components/split/SplitGroup.vue'
import { sayPieceIn } from './cellWords'
import { MOST_GROUPS, useSplitting } from './composables/splitting'
import { WAYS, WAY_NOTES, sayNoGroups } from './splitWords'

/** A class split into groups by what its learners have shown; changed by hand, kept, or used once. */
const WHOLE = 'whole'
const address = useAddress()
const tell = useTell()
const classId = address.id<ClassId>('class')
const grid = shallowRef<ClassGrid | null>(null)
const problem = ref('')
const by = computed(() => address.text('by') ?? WHOLE)
useHead({ title: computed(() => `Split ${grid.value?.name ?? 'a class'} into groups`) })
async function load(): Promise<void> {
  if (!classId) return
  const reply = await call(ShowGrid, { params: { classId } })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) grid.value = reply.value
}
void load()
/** By what they are split: all their scores together, or one piece that somebody has handed in. */
const sources = computed(() => [
  { value: WHOLE, label: 'all scores together' },
  ...(grid.value?.columns ?? [])
    .filter((c) => c.mean !== null)
    .map((c) => ({
      value: pieceName(c),
      label: sayPieceIn(c),
    })),
])
const shares = computed<ReadonlyMap<UserId, number | null>>(() => {
  const of = grid.value
  if (!of) return new Map()
  if (by.value === WHOLE) return new Map(of.wholes.map((w) => [w.learnerId, w.ratio]))
  return new Map(of.cells.filter((c) => pieceName(c) === by.value).map((c) => [c.learnerId, c.ratio]))
})
const scored = computed(() =>
  (grid.value?.learners ?? []).map(({ id }) => ({ learnerId: id, share: shares.value.get(id) ?? null })),
)
const splitting = useSplitting(() => scored.value)
const { way, boundsText, howMany, wishes, groups, unscored, refusal, bounds, isEven, isCountable } = splitting
const names = computed(() => new Map(grid.value?.learners.map((l) => [l.id, l.name])))
const nameOf = (id: UserId) => names.value.get(id) ?? ''
const fault = computed(() => {
  if (refusal.value) return sayNoGroups(refusal.value, nameOf)
  if (way.value === 'bounds' && !bounds.value) return 'Bounds are whole per cents, such as 60, 85.'
  if (way.value !== 'bounds' && !isCountable.value) return `Between 1 and ${MOST_GROUPS} groups.`
  const isByScore = !isEven.value && scored.value.every((s) => s.share === null)
  return isByScore ? 'Nobody has a score here yet. Even groups need none.' : ''
})
const taken = shallowRef<ReadonlySet<UserId>>(new Set())
/** What was kept as it is now: pressing again would make the same once more. */
const kept = shallowRef<unknown>(null)
const isKept = computed(() => kept.value === groups.value)
watch(groups, (now, before) => {
  if (now.length !== before.length) taken.value = new Set()
})
function take(id: UserId): void {
  const next = new Set(taken.value)
  if (!next.delete(id)) next.add(id)
  taken.value = next
}
function moveHere(at: number): void {
  splitting.move([...taken.value], at)
  taken.value = new Set()
}
const filled = computed(() => groups.value.filter((g) => g.learnerIds.length > 0))
const isNamed = computed(() => filled.value.every((g) => g.name.trim() !== ''))
async function keep(): Promise<void> {
  if (!classId) return
  const asKept = groups.value
  const body = { groups: filled.value.map((g) => ({ name: g.name.trim(), learnerIds: [...g.learnerIds] })) }
  const reply = await call(KeepGroups, { params: { classId }, body })
  if (!reply.ok) return tell.refused(reply.error)
  kept.value = asKept
  tell.done(`${count(body.groups.length, 'group')} kept in ${grid.value?.name ?? 'the class'}`)
}
</script>

<template>
  <div class="page-plain">
    <UnderEvidence :class-id="classId">Split {{ grid?.name ?? '' }} into groups</UnderEvidence>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!grid" class="said">Opening …</p>
    <p v-else-if="grid.learners.length === 0" data-hook="nobody">
      Nobody is in this class yet.
      <NuxtLink class="plain" :to="`/classes/${grid.classId}`">Add learners</NuxtLink>
      first.
    </p>
    <template v-else>
      <section class="field-row">
        <label>
          <span class="said">By</span>
          <USelect
            :items="sources"
            :model-value="by"
            class="w-72 max-w-full"
            data-hook="split-by"
            @update:model-value="address.put({ by: $event === WHOLE ? undefined : $event })"
          />
        </label>
        <div>
          <span class="said">How</span>
          <ChoiceButtons v-model="way" label="How" :items="WAYS" />
        </div>
        <label v-if="way === 'bounds'">
          <span class="said">Bounds in per cent</span>
          <UInput v-model="boundsText" class="w-32" name="bounds" />
        </label>
        <label v-else>
          <span class="said">Groups</span>
          <UInput
            v-model.number="howMany"
            type="number"
            min="1"
            :max="MOST_GROUPS"
            class="w-20"
            name="how-many"
          />
        </label>
      </section>
      <p class="said">{{ WAY_NOTES[way] }}</p>
      <PairWishes
        v-if="isEven"
        :learners="grid.learners"
        :wishes="wishes"
        @wish="splitting.wish"
        @unwish="splitting.unwish"
      />
      <p v-if="fault" class="note-line needs" role="alert" data-hook="no-groups">{{ fault }}</p>
      <div class="groups">
        <SplitGroup
          v-for="(group, at) in groups"
          :key="at"
          :group="group"
          :at="at"
          :shares="shares"
          :name-of="nameOf"
          :taken="taken"
          :class-id="grid.classId"
          @rename="splitting.rename(at, $event)"
          @take="take"
          @here="moveHere(at)"
        />
        <section v-if="unscored.length" class="apart" data-hook="unscored">
          <h2>Without a score</h2>
          <p class="said">They are in no group until you move them.</p>
          <ul>
            <li v-for="id in unscored" :key="id">
              <button type="button" class="who" :aria-pressed="taken.has(id)" @click="take(id)">
                {{ nameOf(id) }}
              </button>
            </li>
          </ul>
        </section>
      </div>
      <footer v-if="groups.length" class="flex flex-wrap items-center gap-3">
        <UButton :disabled="isKept || !isNamed || !filled.length" data-hook="keep-groups" @click="keep">{{
          isKept ? 'Kept' : `Keep as ${count(filled.length, 'group')}`
        }}</UButton>
        <NuxtLink v-if="isKept" class="plain" :to="`/classes/${grid.classId}`"
          >See them in the class</NuxtLink
        >
        <p class="said">
          Press names to take them, then a group to move them there. Give something to one group without
          keeping it.
        </p>
      </footer>
    </template>
  </div>
</template>

<style scoped src="./components/split/split.css"></style>
<style scoped src="./components/fieldRow.css"></style>
