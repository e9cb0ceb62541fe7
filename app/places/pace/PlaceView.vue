<script setup lang="ts">
import { useHead } from '#imports'
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { addDays, mondayOf } from '#core/base'
import type { IsoDay, ResourceId } from '#core/base'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import type { PlacedStone, ToLay } from '#core/placing'
import { ListRecipients } from '#shared/contracts/work'
import type { Recipients } from '#shared/contracts/work'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import DayField from '~/shared/fields/DayField.vue'
import { useTray } from '~/places/shelf'
import { useServerNow } from '~/shared/session/serverNow'
import { call } from '~/shared/wire/call'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { zoneNamed } from '~/shared/words/times'
import PlacedRecord from './components/place/PlacedRecord.vue'
import PlaceGrid from './components/place/PlaceGrid.vue'
import PlaceTray from './components/place/PlaceTray.vue'
import { usePlacing } from './composables/placing'
import type { PlacingChoice } from './composables/placing'
import { useDesk } from './stores/desk'

/** Pieces gathered in the tray are laid on days for several classes and groups, and moved together. */
const address = useAddress()
const desk = useDesk()
const now = useServerNow()
onMounted(() => desk.load())
const recipients = shallowRef<Recipients | null>(null)
onMounted(async () => {
  const reply = await call(ListRecipients)
  if (reply.ok) recipients.value = reply.value
})
const WEEKS_SHOWN = 3
const today = computed(() => zoneNamed(desk.zone).local(now.value).on)
const from = computed(() => address.day('from') ?? mondayOf(today.value))
const through = computed(() => address.day('through') ?? addDays(from.value, 7 * WEEKS_SHOWN - 3))
interface Choice {
  readonly value: string
  readonly label: string
  readonly target: Target
}
const choices = computed<readonly Choice[]>(() => {
  const of = recipients.value
  if (!of) return []
  const names = new Map(of.classes.map((c) => [c.id, c.name]))
  const targets: { label: string; target: Target }[] = [
    ...of.classes.map((c) => ({ label: c.name, target: { kind: 'class', classId: c.id } as const })),
    ...of.groups.map((g) => ({
      label: `${g.name}, ${sayList(g.classIds.flatMap((id) => names.get(id) ?? []))}`,
      target: { kind: 'group', groupId: g.id } as const,
    })),
    ...of.classes.flatMap((c) =>
      c.learners.map((l) => ({
        label: `${l.name}, ${c.name}`,
        target: { kind: 'learner', learnerId: l.id } as const,
      })),
    ),
  ]
  // who is in several classes is chosen once
  return [...new Map(targets.map((t) => [keyOf(t.target), t]))].map(([value, t]) => ({ ...t, value }))
})
/** In the address by their keys; without any, the classes on the first one's plan. */
const chosen = computed(() => {
  const asked = address.text('for')?.split(',') ?? []
  const named = choices.value.filter((c) => asked.includes(c.value))
  if (address.text('for') !== null) return named
  const planId = desk.classes.find((c) => c.mayChange)?.planId
  const onPlan = new Set(desk.classes.filter((c) => c.planId === planId).map((c) => `class ${c.id}`))
  return choices.value.filter((c) => onPlan.has(c.value))
})
const choice = computed<PlacingChoice | null>(() =>
  recipients.value && desk.loaded
    ? { targets: chosen.value.map((c) => c.target), from: from.value, through: through.value }
    : null,
)
const { shown, problem, isBusy, goingOut, lay, move, take, publish } = usePlacing(choice)

const STAYS = [
  { value: '1', label: 'to the next meeting' },
  { value: '2', label: 'over two meetings' },
  { value: '4', label: 'over four meetings' },
  { value: 'open', label: 'without an end' },
]
const stays = ref('1')
const MOVES = [
  { value: 'all' as const, label: 'All classes', hook: 'move-all' },
  { value: 'one' as const, label: 'Only the one', hook: 'move-one' },
]
const moves = ref<'all' | 'one'>('all')
const hand = ref<string | null>(null)
const grid = useTemplateRef('grid')
async function layPieces(pieces: readonly ToLay[]): Promise<void> {
  if (await lay(pieces, stays.value === 'open' ? null : Number(stays.value))) hand.value = null
}
const tray = useTray()
/** By keys the next piece of the tray is in hand at once; the focus stays on its day. */
async function layOne(resourceId: ResourceId, on: IsoDay, byKeys: boolean): Promise<void> {
  await layPieces([{ resourceId, on }])
  const lies = new Set(shown.value?.stones.flatMap((s) => s.resourceIds))
  const next = tray.cards.find((card) => !lies.has(card.id))
  if (byKeys && hand.value === null && next) hand.value = next.id
}
function takeInHand(id: string | null): void {
  hand.value = id
  if (id !== null) grid.value?.takeFocus()
}
const inHand = computed(() => tray.cards.find((card) => card.id === hand.value)?.title ?? null)
async function moveStone(stone: PlacedStone, key: string, on: IsoDay): Promise<void> {
  if (!(await move(stone, key, on, moves.value === 'one'))) return
  await nextTick()
  grid.value?.focusOn(stone, key)
}
const print = () => window.print()
useHead({
  title: 'Place pieces on days',
  style: [{ key: 'page', innerHTML: '@page { size: A4 landscape; margin: 11mm 10mm 12mm }' }],
})
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-3" data-print="hide">
      <div class="flex-1 min-w-60">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Place pieces on days</h1>
      </div>
      <UButton
        icon="i-lucide-printer"
        color="neutral"
        variant="outline"
        data-hook="print-record"
        @click="print"
        >Print the record</UButton
      >
      <UButton
        :disabled="goingOut === 0 || isBusy"
        data-hook="publish-placed"
        @click="() => void publish()"
        >{{ goingOut > 0 ? `Publish ${count(goingOut, 'held piece')}` : 'Nothing is held' }}</UButton
      >
    </header>
    <div class="controls" data-print="hide">
      <USelectMenu
        :model-value="chosen.map((c) => c.value)"
        :items="[...choices]"
        value-key="value"
        multiple
        class="w-72"
        placeholder="Classes, groups and learners"
        :aria-label="`Classes, groups and learners: ${chosen.map((c) => c.label).join(', ')}`"
        data-hook="place-for"
        @update:model-value="address.put({ for: ($event as string[]).join(',') })"
      />
      <DayField
        :model-value="from"
        label="First day"
        name="from"
        :today="today"
        @change="(on) => on && address.put({ from: on })"
      />
      <span class="said">to</span>
      <DayField
        :model-value="through"
        label="Last day"
        name="through"
        :today="today"
        :min="from"
        @change="(on) => on && address.put({ through: on })"
      />
      <label class="said"
        >A piece stays <USelect v-model="stays" size="sm" :items="STAYS" data-hook="stays"
      /></label>
      <div class="said flex items-center gap-2">
        A move takes along <ChoiceButtons v-model="moves" label="A move takes along" :items="MOVES" />
      </div>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!shown" class="said">Opening …</p>
    <template v-else>
      <div class="split" :style="{ '--columns': shown.columns.length }" data-print="hide">
        <PlaceTray
          :hand="hand"
          :of="shown"
          :today="today"
          :busy="isBusy"
          @lay="layPieces"
          @update:hand="takeInHand"
        />
        <p v-if="shown.columns.length === 0" data-hook="nobody">
          <template v-if="choices.length">Choose a class, a group or a learner to lay pieces for.</template>
          <template v-else
            >No class yet. <NuxtLink class="plain" to="/classes">Make a class</NuxtLink> first.</template
          >
        </p>
        <PlaceGrid
          v-else
          ref="grid"
          :of="shown"
          :today="today"
          :hand="hand"
          :in-hand="inHand"
          @lay="layOne"
          @put-down="takeInHand(null)"
          @move="moveStone"
          @take="take"
        />
      </div>
      <PlacedRecord :of="shown" :from="from" :through="through" />
    </template>
  </div>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
}
.split {
  display: grid;
  grid-template-columns: minmax(14rem, 20rem) minmax(0, 1fr);
  gap: 1.25rem;
  align-items: start;
}
@media (max-width: 900px) {
  .split {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
