<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { computed } from 'vue'
import { SetJoining, ShowClass } from '#shared/contracts/teaching'
import type { ClassPage } from '#shared/contracts/teaching'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { JOINING_CONFLICT } from '../words/conflicts'

const props = defineProps<{ page: ClassPage }>()
const emit = defineEmits<{ changed: [] }>()
const tell = useTell()
const stillMeant = useStillMeant()
const { copy, copied } = useClipboard()

const SAID = {
  renew: 'The class has a new code. The old one lets nobody in.',
  close: 'Nobody can join until you open it again.',
  open: 'Learners can join with the code.',
} as const
async function set(act: keyof typeof SAID): Promise<void> {
  const params = { classId: props.page.id }
  const joiningOf = ({ joinCode, joinOpen }: ClassPage) => ({ joinCode, joinOpen })
  const reply = await stillMeant({
    what: 'the joining code',
    act: 'Another code all the same',
    parts: { joinCode: 'whole', joinOpen: 'whole' },
    words: JOINING_CONFLICT,
    seen: { value: joiningOf(props.page), version: 0 },
    send: ({ value: seen }) => call(SetJoining, { params, body: { act, seen } }),
    current: async () => {
      const now = await call(ShowClass, { params })
      return now.ok ? { value: joiningOf(now.value), version: 0 } : null
    },
  })
  if (reply === null) return emit('changed')
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(SAID[act])
  emit('changed')
}
const items = computed(() => [
  [
    { label: 'Another code', icon: 'i-lucide-refresh-cw', onSelect: () => void set('renew') },
    props.page.joinOpen
      ? { label: 'Let nobody in', icon: 'i-lucide-lock', onSelect: () => void set('close') }
      : { label: 'Let learners in', icon: 'i-lucide-lock-open', onSelect: () => void set('open') },
  ],
])
</script>

<template>
  <div class="text-right">
    <p class="said">
      {{ page.joinOpen ? 'Joining code for learners' : 'Closed: the code lets nobody in' }}
    </p>
    <p class="flex gap-2 items-center justify-end">
      <b class="code text-lg tracking-wider" :class="{ off: !page.joinOpen }" data-hook="join-code">{{
        page.joinCode
      }}</b><UButton size="xs" color="neutral" variant="outline" @click="copy(page.joinCode)">{{
        copied ? 'Copied' : 'Copy'
      }}</UButton
      ><UDropdownMenu v-if="page.mayRun" :items="items" :content="{ align: 'end' }"
        ><UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-ellipsis"
          aria-label="More about the joining code"
          data-hook="joining"
      /></UDropdownMenu>
    </p>
  </div>
</template>

<style scoped>
.off {
  text-decoration: line-through;
  color: var(--ui-text-muted);
}
</style>
