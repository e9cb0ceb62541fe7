<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { IsoDay, ResourceId } from '#core/base'
import { groupBy } from '#core/base'
import { oneADay } from '#core/placing'
import type { ToLay } from '#core/placing'
import type { Placing } from '#shared/contracts/placing'
import { ShelfSearch, useShelf, useTray } from '~/places/shelf'
import DayField from '~/shared/fields/DayField.vue'
import { sayPiece } from '~/shared/words/pieces'
import { count } from '~/shared/words/numbers'
import { holdPiece } from '../../desk/holdPiece'

/** What was gathered, by topic, with counts and minutes: to be laid one by one, or in order over the days. */
const props = defineProps<{ of: Placing; today: IsoDay; busy: boolean }>()
const emit = defineEmits<{ lay: [pieces: readonly ToLay[]] }>()
const hand = defineModel<string | null>('hand', { required: true })
const tray = useTray()
const shelf = useShelf()
onMounted(() => tray.load())
onMounted(() => shelf.load())
const isLooking = ref(false)
function look(isOn: boolean): void {
  isLooking.value = isOn
}
/** What is found goes into the tray and into the hand. */
function gather(id: ResourceId): void {
  tray.put([id])
  isLooking.value = false
  hand.value = id
}
const topics = computed(() => groupBy(tray.cards, (c) => tray.topicOf(c)))
/** Pieces that lie in the stretch already. */
const lies = computed(() => new Set<string>(props.of.stones.flatMap((s) => s.resourceIds)))
/** In the order in which they are shown. */
const fresh = computed(() => [...topics.value.values()].flat().filter((c) => !lies.value.has(c.id)))
const from = ref<IsoDay | null>(props.today)
const EVERY = [
  { value: 'meeting', label: 'each meeting of the first class' },
  { value: 'day', label: 'each school day' },
]
const every = ref('meeting')
const days = computed(() => {
  const open = props.of.days.filter((d) => d.closedBy === null).map((d) => d.on)
  const meetings = props.of.columns[0]?.meetingDays ?? []
  return oneADay(fresh.value.length, every.value === 'day' ? open : meetings, from.value ?? props.today)
})
function layAll(): void {
  const pieces = days.value.flatMap((on, i) => {
    const id = fresh.value[i]?.id
    return id ? [{ resourceId: id, on }] : []
  })
  emit('lay', pieces)
}
function take(id: ResourceId): void {
  hand.value = hand.value === id ? null : id
}
</script>

<template>
  <section class="grid gap-3 content-start" aria-label="Tray" data-hook="place-tray">
    <template v-if="tray.cards.length === 0 || isLooking">
      <ShelfSearch is-beside :chosen="null" :usual="{}" :class-name="null" @choose="gather">
        <p v-if="tray.cards.length === 0" class="said mt-2">
          Nothing is gathered yet. Look for a piece here, or tick several on the
          <NuxtLink class="plain" to="/shelf">shelf</NuxtLink>; then choose the day it is laid on.
        </p>
      </ShelfSearch>
      <UButton
        v-if="isLooking"
        size="xs"
        color="neutral"
        variant="ghost"
        class="justify-self-start"
        @click="look(false)"
        >Back to what is gathered</UButton
      >
    </template>
    <template v-else>
      <p data-hook="gathered">
        <b>{{ count(tray.sums.all.count, 'piece') }}, {{ tray.sums.all.minutes }} min</b> gathered.
        <span class="said">Drag one onto a day, or take it in hand and choose the day.</span>
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-search"
          data-hook="look-for-more"
          @click="look(true)"
          >Look for more</UButton
        >
      </p>
      <div v-for="t in tray.sums.topics" :key="t.topic">
        <h2>
          {{ t.topic }}
          <span class="said font-normal">{{ count(t.count, 'piece') }}, {{ t.minutes }} min</span>
        </h2>
        <ul>
          <li
            v-for="p in topics.get(t.topic)"
            :key="p.id"
            :ref="(el) => holdPiece(el as HTMLElement | null, p.id)"
            :class="{ hand: hand === p.id }"
          >
            <span class="flex-1 min-w-0"
              >{{ p.title }}
              <span class="said block"
                >{{ sayPiece(p) }}<template v-if="lies.has(p.id)"> · lies here</template></span
              ></span
            ><UButton
              size="xs"
              color="neutral"
              :variant="hand === p.id ? 'solid' : 'outline'"
              :aria-pressed="hand === p.id"
              :aria-label="`Take in hand: ${p.title}`"
              @click="take(p.id)"
              >{{ hand === p.id ? 'In hand' : 'Take' }}</UButton
            >
          </li>
        </ul>
      </div>
      <p v-if="fresh.length === 0" class="said">All of it lies in these days.</p>
      <div v-else class="grid gap-2 all">
        <h2>All in order, one on</h2>
        <USelect v-model="every" size="sm" :items="EVERY" aria-label="One piece on" data-hook="place-every" />
        <DayField v-model="from" :today="today" label="From" name="lay-from" />
        <UButton
          size="sm"
          variant="outline"
          class="justify-self-start"
          :disabled="busy || days.length === 0 || of.columns.length === 0"
          data-hook="lay-all"
          @click="layAll"
          >Lay {{ count(days.length, 'piece') }}</UButton
        >
        <p v-if="days.length < fresh.length" class="said">
          {{ count(fresh.length - days.length, 'piece') }} more than there are days in the stretch.
        </p>
      </div>
    </template>
  </section>
</template>

<style scoped>
li {
  display: flex;
  gap: 0.5rem;
  align-items: start;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--ui-border);
  cursor: grab;
}
li.hand {
  box-shadow: inset 3px 0 0 var(--ui-primary);
  padding-left: 0.5rem;
}
.all {
  border-top: 2px solid var(--line);
  padding-top: 0.6rem;
}
</style>
