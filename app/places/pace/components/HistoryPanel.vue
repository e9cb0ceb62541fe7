<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { ShowHistory } from '#shared/contracts/pacing'
import type { PastAct } from '#shared/contracts/pacing'
import { useDesk } from '../stores/desk'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { sayStep } from '../words/steps'
import { sayMoment } from '~/shared/words/times'

const emit = defineEmits<{ close: [] }>()
const desk = useDesk()
const tell = useTell()
const acts = shallowRef<readonly PastAct[] | null>(null)
const problem = shallowRef('')
async function load(): Promise<void> {
  const reply = await call(ShowHistory)
  if (reply.ok) acts.value = reply.value.acts
  else problem.value = sayRefusal(reply.error)
}
onMounted(load)
/** Takes one act back, also where others were done since. */
async function undo({ seq }: PastAct): Promise<void> {
  const reply = await desk.step('undo', seq)
  if (!reply.ok) tell.refused(reply.error)
  await load()
}
</script>

<template>
  <USlideover
    title="What was changed"
    description="The latest planning acts on these classes, newest first."
    @update:open="emit('close')"
  >
    <template #body>
      <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      <p v-else-if="!acts" class="said">Looking …</p>
      <p v-else-if="acts.length === 0" class="said">
        Nothing has been changed yet. Every change to the plan will be listed here.
      </p>
      <ol v-else class="grid gap-2" data-hook="history">
        <li v-for="a in acts" :key="a.seq" class="border-b border-muted pb-2 text-sm">
          <span :class="{ 'line-through': a.undone }">{{ sayStep(a.command, desk) }}</span><span
            class="said block"
            >{{ a.by }}, {{ sayMoment(a.at, desk.zone) }}<template v-if="a.undone"> · undone</template></span
          ><UButton
            v-if="a.mayUndo"
            size="xs"
            color="neutral"
            variant="link"
            :disabled="desk.busy"
            :aria-label="`Undo this: ${sayStep(a.command, desk)}`"
            data-hook="undo-this"
            @click="undo(a)"
            >Undo this</UButton
          >
        </li>
      </ol>
    </template>
  </USlideover>
</template>
