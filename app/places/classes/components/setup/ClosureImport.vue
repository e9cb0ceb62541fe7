<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { IsoDay } from '#core/base'
import type { FoundClosure } from '#core/formats'
import { ReadClosures } from '#shared/contracts/teaching'
import { useDryRun } from '../../composables/dryRun'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { SKIPPED_WORDS } from '~/shared/words/skippedEvents'
import { sayDay } from '~/shared/words/times'
import TextOrFile from '../TextOrFile.vue'

const props = defineProps<{ firstOn: IsoDay; lastOn: IsoDay; zone: string }>()
const emit = defineEmits<{ take: [closures: readonly FoundClosure[]] }>()
const text = ref('')
const { reading, problem } = useDryRun(text, (text) =>
  call(ReadClosures, { body: { text, firstOn: props.firstOn, lastOn: props.lastOn, zone: props.zone } }),
)
// what was found must not lie under the bar at the foot of the page
const found = ref<HTMLElement | null>(null)
watch(reading, async () => {
  await nextTick()
  found.value?.scrollIntoView({ block: 'nearest' })
})
function take(): void {
  if (!reading.value) return
  emit('take', reading.value.closures)
  text.value = ''
}
</script>

<template>
  <div class="grid gap-2" data-hook="closure-import">
    <TextOrFile
      v-model="text"
      label="Closures from a calendar (.ics)"
      accept=".ics,text/calendar"
      :rows="3"
      :most-bytes="1_000_000"
      carried="calendar"
      placeholder="BEGIN:VCALENDAR …"
      @too-large="problem = 'This calendar is too large (at most 1 MB). Export only this school year.'"
    />
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <div v-if="reading" ref="found" class="grid gap-1 text-sm" role="status">
      <p class="font-semibold">{{ count(reading.closures.length, 'closure') }} found</p>
      <ul class="max-h-40 overflow-auto">
        <li v-for="(c, i) in reading.closures" :key="i">
          {{ c.name }}: {{ sayDay(c.fromOn)
          }}<template v-if="c.throughOn !== c.fromOn"> to {{ sayDay(c.throughOn) }}</template>
        </li>
      </ul>
      <details v-if="reading.skipped.length">
        <summary class="cursor-pointer">{{ count(reading.skipped.length, 'event') }} left out</summary>
        <ul>
          <li v-for="(s, i) in reading.skipped.slice(0, 50)" :key="i">
            {{ s.name }} {{ SKIPPED_WORDS[s.because] }}
          </li>
        </ul>
      </details>
      <UButton class="justify-self-start" size="xs" data-hook="take-closures" @click="take"
        >Add these closures</UButton
      >
    </div>
  </div>
</template>
