<script setup lang="ts">
import { ref } from 'vue'
import type { ClassId } from '#core/base'
import { count, percent } from '~/shared/words/numbers'
import type { DraftInWork } from '../../draft'
import { isPicked, pickedKeys, toggled, withLearner } from '../../picking'
import type { PickedLearner } from '../../picking'
import type { Stand } from './stand'

/** A class to tick as a whole, and its learners one by one. */
const props = defineProps<{
  of: {
    readonly id: ClassId
    readonly name: string
    readonly isWanted: boolean
    readonly learners: readonly PickedLearner[]
  }
  stands: ReadonlyMap<string, Stand>
  /** Its learners are shown, because they were looked for. */
  isOpen: boolean
}>()
const draft = defineModel<DraftInWork>({ required: true })
const isUnfolded = ref(false)
const isWhole = () => pickedKeys(draft.value).has(`class ${props.of.id}`)
function setClass(): void {
  draft.value = toggled(draft.value, `class ${props.of.id}`)
}
function set(learner: PickedLearner, isIn: boolean): void {
  draft.value = withLearner(draft.value, learner, isIn)
}
function isFull(id: string): boolean {
  const { open } = props.stands.get(id) ?? {}
  return Boolean(open && open.pieces >= open.most)
}
function saidOf(id: string): string {
  const stand = props.stands.get(id)
  if (!stand) return ''
  const { standing, minutes, open } = stand
  const share = standing ? `${percent(standing.share)} of ${count(standing.items, 'item')}` : 'not seen yet'
  const week = minutes > 0 ? `${minutes} min this week` : ''
  const full = open && isFull(id) ? `full: ${open.pieces} of ${open.most} open` : ''
  return [share, week, full].filter((part) => part !== '').join(' · ')
}
</script>

<template>
  <div class="class" role="group" :aria-label="of.name">
    <div class="head">
      <UCheckbox v-if="of.isWanted" :model-value="isWhole()" @update:model-value="setClass"
        ><template #label
          ><b>{{ of.name }}</b></template
        ></UCheckbox
      >
      <b v-else class="flex-1">{{ of.name }}</b>
      <UButton
        v-if="!isOpen && of.learners.length"
        size="xs"
        color="neutral"
        variant="ghost"
        :icon="isUnfolded ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
        :aria-expanded="isUnfolded"
        :aria-label="`${count(of.learners.length, 'learner')} of ${of.name}`"
        data-hook="unfold"
        @click="
          () => {
            isUnfolded = !isUnfolded
          }
        "
        >{{ count(of.learners.length, 'learner') }}</UButton
      >
    </div>
    <ul v-if="isOpen || isUnfolded">
      <li v-for="l in of.learners" :key="l.id">
        <UCheckbox
          :model-value="isPicked(draft, l)"
          :data-learner="l.id"
          @update:model-value="set(l, $event === true)"
          ><template #label
            ><span
              >{{ l.name }}<span v-if="draft.exceptIds.includes(l.id)" class="said"> left out</span></span
            ></template
          ></UCheckbox
        ><span class="said"
          >{{ saidOf(l.id)
          }}<template v-if="isFull(l.id)">
            ·
            <NuxtLink
              class="plain"
              :to="{ path: '/classes/filing', query: { class: of.id } }"
              :aria-label="`How much ${of.name} may have open at once`"
              >ceiling</NuxtLink
            ></template
          ></span
        >
      </li>
    </ul>
  </div>
</template>

<style scoped>
.class {
  border-top: 1px solid var(--ui-border);
  padding-top: 0.35rem;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
ul {
  padding: 0.2rem 0 0.4rem 1.2rem;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 0.8rem;
  padding-block: 0.12rem;
}
</style>
