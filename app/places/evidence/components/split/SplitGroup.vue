<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, UserId } from '#core/base'
import type { DraftGroup } from '../../composables/splitting'
import { count, percent } from '~/shared/words/numbers'

/** One group of a class that is being split: its name, who is in it with their share, and what may be done with it. */
const props = defineProps<{
  group: DraftGroup
  at: number
  shares: ReadonlyMap<UserId, number | null>
  nameOf: (id: UserId) => string
  taken: ReadonlySet<UserId>
  classId: ClassId
}>()
const emit = defineEmits<{ rename: [name: string]; take: [id: UserId]; here: [] }>()
const sayShare = (id: UserId) => {
  const share = props.shares.get(id) ?? null
  return share === null ? '–' : percent(share)
}
const rows = computed(() =>
  [...props.group.learnerIds].sort((a, b) => props.nameOf(a).localeCompare(props.nameOf(b))),
)
const range = computed(() => {
  const known = props.group.learnerIds.flatMap((id) => props.shares.get(id) ?? [])
  const who = count(props.group.learnerIds.length, 'learner')
  if (known.length === 0) return who
  const [least, most] = [percent(Math.min(...known)), percent(Math.max(...known))]
  return least === most ? `${who} · ${least}` : `${who} · ${least} to ${most}`
})
/** Of those who are taken, who is not here yet. */
const coming = computed(() => [...props.taken].filter((id) => !props.group.learnerIds.includes(id)).length)
</script>

<template>
  <section class="group" :aria-label="group.name || `Group ${at + 1}`" data-hook="split-group">
    <UInput
      :model-value="group.name"
      maxlength="40"
      :aria-label="`Name of group ${at + 1}`"
      :name="`group-${at + 1}`"
      @update:model-value="emit('rename', String($event))"
    />
    <p class="said" data-hook="split-range">{{ range }}</p>
    <ul>
      <li v-for="id in rows" :key="id">
        <button type="button" class="who" :aria-pressed="taken.has(id)" @click="emit('take', id)">
          <span>{{ nameOf(id) }}</span><span class="share">{{ sayShare(id) }}</span>
        </button>
      </li>
    </ul>
    <div class="flex flex-wrap gap-2">
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        :disabled="coming === 0"
        data-hook="move-here"
        @click="emit('here')"
        >{{ coming === 0 ? 'Move here' : `Move ${coming} here` }}</UButton
      >
      <UButton
        v-if="group.learnerIds.length"
        size="xs"
        color="neutral"
        variant="outline"
        :to="{ path: '/work/new', query: { learners: group.learnerIds.join(','), class: classId } }"
        :aria-label="`Give something to ${group.name}`"
        data-hook="give-group"
        >Give something</UButton
      >
    </div>
  </section>
</template>

<style scoped src="./split.css"></style>
