<script setup lang="ts">
import type { ClassId, IsoDay } from '#core/base'
import { sayDay } from '~/shared/words/times'
import { useDesk } from '../stores/desk'
import type { DeskColumn } from '../stores/deskColumn'
import DeskMenu from './DeskMenu.vue'

/** The bar over the desk: classes in view, the day, what can be done to all of them. */
defineProps<{
  one: DeskColumn | null
  columns: readonly DeskColumn[]
  today: IsoDay | null
  showsDetails: boolean
}>()
const emit = defineEmits<{
  show: [classId: ClassId | null]
  today: []
  announce: []
  agree: []
  sheet: []
  details: []
}>()
const desk = useDesk()

function variantOf(c: DeskColumn, one: DeskColumn | null) {
  if (one) return one.of.id === c.of.id ? 'solid' : 'outline'
  return desk.hidden.has(c.of.id) ? 'ghost' : 'subtle'
}
</script>

<template>
  <header class="head">
    <h1>{{ one ? one.of.name : 'Pace' }}</h1>
    <div v-if="desk.classes.length" class="chips" role="group" aria-label="Classes in view">
      <UButton
        size="xs"
        :variant="one ? 'outline' : 'solid'"
        :aria-pressed="!one"
        data-hook="all-classes"
        @click="emit('show', null)"
        >All classes</UButton
      >
      <span class="sep" aria-hidden="true" />
      <UButton
        v-for="c in desk.columns"
        :key="c.of.id"
        size="xs"
        color="neutral"
        :variant="variantOf(c, one)"
        :aria-pressed="one ? one.of.id === c.of.id : !desk.hidden.has(c.of.id)"
        :data-hook="`chip-${c.of.shortName}`"
        @click="one ? emit('show', c.of.id) : desk.toggle(c.of.id)"
        >{{ c.of.shortName }}</UButton
      >
    </div>
    <div class="grow" />
    <span v-if="today" class="said date">{{ sayDay(today) }}</span>
    <UButton size="xs" color="neutral" variant="ghost" @click="emit('today')">To today</UButton>
    <UButton
      v-if="desk.columns.some((c) => c.of.mayChange && c.plan)"
      size="xs"
      variant="outline"
      icon="i-lucide-snowflake"
      data-hook="announce"
      @click="emit('announce')"
      >Announce a day</UButton
    >
    <DeskMenu :columns="columns" @agree="emit('agree')" />
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-keyboard"
      data-hook="shortcuts"
      @click="emit('sheet')"
      >Keys</UButton
    >
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-panel-right"
      :aria-expanded="showsDetails"
      data-hook="toggle-details"
      @click="emit('details')"
      >Details</UButton
    >
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  gap: 0.5rem 0.75rem;
  padding: 0.5rem 1rem;
  border-bottom: 1px solid var(--ui-border);
  flex-wrap: wrap;
}
.chips {
  display: flex;
  gap: 0.3rem;
  align-items: center;
  flex-wrap: wrap;
}
.sep {
  width: 1px;
  height: 1.2rem;
  background: var(--ui-border-accented);
  margin-inline: 0.2rem;
}
.grow {
  flex: 1;
}
</style>
