<script setup lang="ts">
import { computed } from 'vue'
import { cardOfKind } from '#core/library'
import type { Instant } from '#core/base'
import type { LearnerCard } from '#core/work'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS, WHEN_WORDS } from '~/shared/words/pieces'
import { sayLeft, sayMoment } from '~/shared/words/times'

const props = defineProps<{ work: LearnerCard; now: Instant; zone: string; to: string }>()
const until = computed(() => {
  const { work, now, zone } = props
  if (work.place === 'next' && work.opensAt) return `Opens ${sayMoment(work.opensAt, zone, 'opens')}`
  if (work.dueAt && work.dueAt > now) return `Due ${sayMoment(work.dueAt, zone, 'due')}`
  if (work.closesAt && work.closesAt > now)
    return (
      `Was due ${work.dueAt ? sayMoment(work.dueAt, zone, 'due') : ''}. You can ` +
      `still hand it in until ${sayMoment(work.closesAt, zone, 'closes')}`
    )
  if (work.place === 'done' && work.closesAt) return `Closed ${sayMoment(work.closesAt, zone, 'closes')}`
  return work.place === 'done' ? '' : 'No due date'
})
/** The piece itself, where there is only one. */
const only = computed(() => (props.work.pieces.length === 1 ? (props.work.pieces[0] ?? null) : null))
const standing = computed(() => {
  if (props.work.about.isRecommended) return 'recommended'
  return props.work.isFirst && props.work.place === 'now' ? 'first' : ''
})
const doneWords = computed(() => {
  if (props.work.handedInAt === null) return only.value?.itemCount === 0 ? 'not read' : 'not handed in'
  return only.value?.itemCount === 0 ? 'read' : 'handed in'
})
const left = computed(() =>
  props.work.place === 'now' && props.work.dueAt ? sayLeft(props.work.dueAt, props.now, props.zone) : '',
)
const tries = computed(() => {
  const piece = only.value
  if (!piece || piece.itemCount === 0 || cardOfKind(piece.kind).isOwnCopy) return ''
  if (piece.triesMost !== null)
    return (
      `${count(Math.max(0, piece.triesMost - piece.triesUsed), 'try', 'tries')} ` +
      `left of ${piece.triesMost}`
    )
  return piece.triesUsed ? count(piece.triesUsed, 'try', 'tries') : 'try as often as you like'
})
const go = computed(() => {
  if (props.work.inProgress || props.work.done > 0) return 'Go on'
  return only.value?.itemCount === 0 ? 'Read' : 'Begin'
})
const again = computed(() => (only.value && cardOfKind(only.value.kind).isOwnCopy ? 'Go on' : 'Try again'))
/** The next thing of several that is to be done. */
const next = computed(() => props.work.pieces.find((p) => p.place === 'now' && !p.blockedBy) ?? null)
/** What has to be finished before anything of this. */
const blocker = computed(() => {
  const open = props.work.pieces.filter((p) => p.place === 'now')
  return open.length > 0 && open.every((p) => p.blockedBy) ? (open[0]?.blockedBy?.title ?? null) : null
})
</script>

<template>
  <NuxtLink
    :to="to"
    class="card"
    :class="work.place"
    :data-hook="`work-${work.place}`"
    :data-steps="work.pieces.length"
  >
    <div class="flex-1 min-w-0">
      <h3>
        {{ work.title }}<span v-if="standing" class="said"> · {{ standing }}</span>
      </h3>
      <p class="meta">
        {{ only ? KIND_WORDS[only.kind] : `${work.done} of ${work.pieces.length} steps done` }} ·
        {{ work.minutes }} min<template v-if="only?.itemCount">
          · {{ count(only.itemCount, 'question') }}</template
        ><template v-if="only?.itemCount && only.timeLimitMinutes">
          · limit {{ Math.round(only.timeLimitMinutes) }} min</template
        >
        · {{ work.className }}<template v-if="work.series"> · {{ work.series.title }}</template>
      </p>
      <p class="until">{{ until }}</p>
      <p v-if="blocker" class="meta" data-hook="blocked">First finish “{{ blocker }}”.</p>
      <p v-else-if="!only && next" class="meta">
        Next: {{ KIND_WORDS[next.kind].toLowerCase() }}, {{ WHEN_WORDS[next.when] }}
      </p>
      <p v-if="work.note && work.place !== 'done'" class="meta">{{ work.note }}</p>
    </div>
    <div class="side">
      <strong v-if="work.ratio !== null" class="score">{{ percent(work.ratio) }}</strong>
      <span v-else-if="work.place === 'done'" class="meta">{{ doneWords }}</span>
      <span v-if="left" class="left">{{ left }}</span>
      <span v-if="tries && (work.place === 'now' || work.mayTry)" class="meta">{{ tries }}</span>
      <span v-if="work.place === 'now' && !blocker" class="go">{{ go }}</span>
      <span v-else-if="work.mayTry" class="go quiet">{{ again }}</span>
    </div>
  </NuxtLink>
</template>

<style scoped>
.card {
  display: flex;
  gap: 1rem;
  padding: 0.85rem 1rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 9px 7px 10px 8px;
  background: var(--stone-face);
}
.card:hover {
  border-color: var(--ui-primary);
}
.card.now {
  border-left: 5px solid var(--ui-primary);
}
.card.done {
  background: transparent;
  border-color: var(--ui-border);
}
h3 {
  font-size: 0.98rem;
}
.meta {
  font-size: 0.83rem;
  color: var(--ui-text-muted);
}
.until {
  font-size: 0.89rem;
  margin-top: 0.1rem;
}
.side {
  display: grid;
  justify-items: end;
  align-content: center;
  gap: 0.15rem;
  text-align: right;
  flex: none;
  max-width: 40%;
}
.score {
  font-size: 1.22rem;
  font-family: var(--font-display);
  font-variant-numeric: tabular-nums;
}
.left {
  font-size: 0.83rem;
  font-weight: 600;
}
.go {
  background: var(--ui-primary);
  color: var(--ui-bg);
  font-weight: 650;
  padding: 0.2rem 0.8rem;
  border-radius: 6px 7px 5px 7px;
}
.go.quiet {
  background: transparent;
  color: var(--ui-primary);
  text-decoration: underline;
  padding: 0;
}
</style>
