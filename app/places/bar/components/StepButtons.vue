<script setup lang="ts">
import { until, useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import type { Refusal } from '#shared/contracts/refusal'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { FRAME_KEYS, actOf, keyNameOf, sayStep, useDesk } from '~/places/pace'
import { count } from '~/shared/words/numbers'
import { useSaying } from '~/shared/words/saying'

const desk = useDesk()
const tell = useTell()
const open = useDialogs()
const say = useSaying()

/** What can be taken back no longer need not stand in the way of what was done before. */
async function refused(way: 'undo' | 'redo', why: Refusal): Promise<void> {
  if (way === 'redo' || !desk.steps.undo) return tell.refused(why)
  const text = `${say(why)} Passed over, it stays as it is, and undo goes on with what you did before.`
  const isMeant = await open<boolean>(ConfirmDialog, { title: words.value.undo, text, act: 'Pass it over' })
  if (!isMeant) return
  const reply = await desk.step('pass-over')
  if (!reply.ok) tell.refused(reply.error)
}
async function go(way: 'undo' | 'redo'): Promise<void> {
  // a step asked for while the last act is still on its way is done after it
  await until(() => desk.busy).toBe(false)
  if (!desk.steps[way]) return
  const reply = await desk.step(way)
  if (!reply.ok) await refused(way, reply.error)
  else if (reply.value && reply.value.moved > 0)
    tell.done(`${count(reply.value.moved, 'piece')} of work moved back`)
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const typing =
    event.target instanceof HTMLElement && event.target.matches('input, textarea, select, [contenteditable]')
  const act = typing ? null : actOf(FRAME_KEYS, keyNameOf(event))
  if (act !== 'undo' && act !== 'redo') return
  event.preventDefault()
  void go(act)
})
const words = computed(() => ({
  undo: desk.steps.undo ? `Undo: ${sayStep(desk.steps.undo, desk)}` : 'Undo',
  redo: desk.steps.redo ? `Redo: ${sayStep(desk.steps.redo, desk)}` : 'Redo',
}))
</script>

<template>
  <div class="flex items-center gap-1 min-w-0" data-hook="steps">
    <UButton
      color="neutral"
      variant="ghost"
      icon="i-lucide-undo-2"
      :disabled="!desk.steps.undo || desk.busy"
      :aria-label="words.undo"
      aria-keyshortcuts="Control+Z"
      data-hook="undo"
      @click="go('undo')"
      ><span class="truncate max-w-72 hidden md:inline">{{ words.undo }}</span></UButton
    >
    <UButton
      color="neutral"
      variant="ghost"
      icon="i-lucide-redo-2"
      :disabled="!desk.steps.redo || desk.busy"
      :aria-label="words.redo"
      aria-keyshortcuts="Control+Shift+Z"
      data-hook="redo"
      @click="go('redo')"
      ><span class="truncate max-w-72 hidden lg:inline">{{ words.redo }}</span></UButton
    >
  </div>
</template>
