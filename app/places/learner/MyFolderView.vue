<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { folderOf } from '#core/agenda'
import type { CopyState, PageCopy } from '#core/agenda'
import { ListMyWork } from '#shared/contracts/myWork'
import type { MyWork } from '#shared/contracts/myWork'
import { call } from '~/shared/wire/call'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { count, percent } from '~/shared/words/numbers'
import { sayMoment } from '~/shared/words/times'

useHead({ title: 'My folder' })
/** A learner's own copies of pages, as they would lie in a folder: class by class, heading by heading. */
const list = shallowRef<MyWork | null>(null)
const problem = ref('')
onMounted(async () => {
  const reply = await call(ListMyWork)
  if (reply.ok) list.value = reply.value
  else problem.value = sayForEveryone(reply.error)
})
const classes = computed(() => (list.value ? folderOf(list.value.work, list.value.headings) : []))
const copies = computed(() => classes.value.flatMap((c) => c.parts.flatMap((p) => p.copies)))
const sentence = computed(() => {
  const toFill = copies.value.filter(isToFill).length
  const pages = count(copies.value.length, 'page')
  return `${pages} of your own, ${toFill === 0 ? 'none' : toFill} still to fill in.`
})
const STATE_WORDS: Readonly<Record<CopyState, string>> = {
  blank: 'to fill in',
  begun: 'begun',
  'handed-in': 'handed in',
  missed: 'not handed in',
}
function isToFill({ state }: PageCopy): boolean {
  return state === 'blank' || state === 'begun'
}
function say(copy: PageCopy): string {
  const zone = list.value?.zone ?? 'UTC'
  const words = STATE_WORDS[copy.state]
  if (isToFill(copy))
    return copy.dueAt === null ? words : `${words}, due ${sayMoment(copy.dueAt, zone, 'due')}`
  return copy.handedInAt === null ? words : `${words} ${sayMoment(copy.handedInAt, zone)}`
}
</script>

<template>
  <div class="pt-4 grid gap-6">
    <div>
      <NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink>
      <h1 class="mt-2">My folder</h1>
      <p v-if="copies.length" class="said" data-hook="folder-sentence">{{ sentence }}</p>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!list" class="said">Opening …</p>
    <p v-else-if="!copies.length" class="said">
      Pages that your teachers give you to fill in are kept here. There is none yet.
    </p>
    <section v-for="c in classes" :key="c.classId" :aria-label="c.className">
      <h2 class="mb-2">{{ c.className }}</h2>
      <div v-for="p in c.parts" :key="p.heading" class="part">
        <h3>{{ p.heading || 'Without a heading' }}</h3>
        <ul>
          <li v-for="copy in p.copies" :key="`${copy.assignmentId} ${copy.pieceId}`">
            <NuxtLink
              class="copy"
              :class="copy.state"
              :to="`/learn/${copy.assignmentId}?piece=${copy.pieceId}`"
              data-hook="page-copy"
            >
              <strong>{{ copy.title }}</strong>
              <span class="said">{{ say(copy) }}</span>
              <span v-if="copy.ratio !== null" class="score">{{ percent(copy.ratio) }}</span>
            </NuxtLink>
          </li>
        </ul>
      </div>
    </section>
  </div>
</template>

<style scoped>
/* a divider with its tab, and the pages behind it */
.part {
  border: 1px solid var(--ui-border-accented);
  border-radius: 0 9px 8px 9px;
  background: var(--stone-face);
  padding: 0.4rem 0;
  margin-top: 2.2rem;
  position: relative;
}
.part h3 {
  position: absolute;
  left: -1px;
  bottom: 100%;
  padding: 0.15rem 0.9rem;
  font-size: 0.84rem;
  background: var(--stone-face);
  border: 1px solid var(--ui-border-accented);
  border-bottom: 0;
  border-radius: 8px 8px 0 0;
}
.copy {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 1rem;
  align-items: center;
  padding: 0.55rem 1rem;
  min-height: 2.9rem;
}
.copy:hover strong {
  text-decoration: underline;
}
.copy.blank,
.copy.begun {
  box-shadow: inset 5px 0 0 var(--ui-primary);
}
.copy .said {
  grid-column: 1;
}
.score {
  grid-column: 2;
  grid-row: 1 / 3;
  font: 650 1.2rem var(--font-display);
  font-variant-numeric: tabular-nums;
}
li + li {
  border-top: 1px solid var(--ui-border);
}
</style>
