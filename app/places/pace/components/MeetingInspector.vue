<script setup lang="ts">
import { computed, ref } from 'vue'
import type { IsoDay } from '#core/base'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDay, sayMinute } from '~/shared/words/times'

const props = defineProps<{ column: DeskColumn; on: IsoDay; startMinute: number }>()
const emit = defineEmits<{
  lose: [at: { on: IsoDay; startMinute: number }]
  giveBack: [at: { on: IsoDay; startMinute: number }]
  add: [meeting: number, title: string]
  announce: [on: IsoDay]
}>()

const meeting = computed(() =>
  props.column.calendar.meetings.find((m) => m.on === props.on && m.startMinute === props.startMinute),
)
const lost = computed(() =>
  props.column.calendar.lost.find((l) => l.on === props.on && l.startMinute === props.startMinute),
)
const title = ref('')
const at = computed(() => ({ on: props.on, startMinute: props.startMinute }))
</script>

<template>
  <div class="grid gap-3" data-hook="inspector-meeting">
    <header>
      <p class="said">{{ column.of.name }}</p>
      <h2>{{ sayDay(on) }}, {{ sayMinute(startMinute) }}</h2>
    </header>
    <template v-if="meeting">
      <p>
        {{ meeting.minutes }} minutes<template v-if="meeting.minutes < meeting.usualMinutes">
          instead of {{ meeting.usualMinutes }}</template
        >. Bare ground: no lesson lies here.
      </p>
      <p v-if="meeting.because.length" class="said">{{ meeting.because.join(', ') }}</p>
      <form
        v-if="column.of.mayChange && column.plan"
        class="grid gap-1.5"
        @submit.prevent="
          () => {
            emit('add', meeting?.index ?? 0, title.trim() || 'New lesson')
            title = ''
          }
        "
      >
        <UFormField label="Add a lesson here" help="Only this class gets it; one meeting long at first."
          ><UInput v-model="title" name="add-title" maxlength="120" placeholder="Catch-up lab" class="w-full"
        /></UFormField>
        <UButton type="submit" class="justify-self-start" size="xs" data-hook="add-lesson">Add it</UButton>
      </form>
      <div v-if="column.of.mayChange" class="flex flex-wrap gap-1.5">
        <UButton size="xs" color="neutral" variant="outline" data-hook="lose" @click="emit('lose', at)"
          >Lose this meeting</UButton
        ><UButton size="xs" color="neutral" variant="outline" @click="emit('announce', on)"
          >Announce this day</UButton
        >
      </div>
    </template>
    <template v-else-if="lost">
      <p>This meeting is lost: {{ lost.because }}.</p>
      <UButton
        v-if="lost.cause === 'cancelled' && column.of.mayChange"
        class="justify-self-start"
        data-hook="give-back"
        @click="emit('giveBack', at)"
        >Give it back</UButton
      >
      <p v-else-if="lost.cause !== 'cancelled'" class="said">
        It comes from the school year. Change it there, under
        <NuxtLink class="plain" to="/classes/year">school year</NuxtLink>.
      </p>
    </template>
    <p v-else>There is no meeting here any more.</p>
  </div>
</template>
