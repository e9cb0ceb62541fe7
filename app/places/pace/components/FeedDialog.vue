<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { ClassId } from '#core/base'
import { ChangeFeed, ShowFeed } from '#shared/contracts/pacing'
import { useTell } from '~/shared/frame/tell'
import type { DeskColumn } from '../stores/deskColumn'
import { call } from '~/shared/wire/call'

const props = defineProps<{ columns: readonly DeskColumn[] }>()
const emit = defineEmits<{ close: [] }>()
const tell = useTell()
const feeds = ref<Record<string, string | null>>({})
const mine = props.columns.filter((c) => c.of.mayChange)
onMounted(async () => {
  for (const c of mine) {
    const reply = await call(ShowFeed, { params: { classId: c.of.id } })
    if (reply.ok) feeds.value = { ...feeds.value, [c.of.id]: reply.value.path }
  }
})
const full = (path: string) => `${location.origin}${path}`
async function change(classId: ClassId, to: 'new' | 'none'): Promise<void> {
  const reply = await call(ChangeFeed, { params: { classId }, body: { to } })
  if (!reply.ok) return tell.refused(reply.error)
  feeds.value = { ...feeds.value, [classId]: reply.value.path }
  tell.done(
    to === 'none'
      ? 'The address is revoked. Calendars that had it get nothing any more.'
      : 'A new address is made. Any older one has ended.',
  )
}
async function copy(path: string): Promise<void> {
  await navigator.clipboard.writeText(full(path))
  tell.done('Address copied')
}
const ABOUT =
  'A file is a copy of today. A feed follows the plan: a calendar program that has its address shows ' +
  'every later change.'
</script>

<template>
  <UModal
    title="Calendar files and feed"
    :description="ABOUT"
    :ui="{ content: 'max-w-2xl' }"
    @update:open="emit('close')"
  >
    <template #body>
      <ul class="grid gap-3">
        <li
          v-for="c in columns"
          :key="c.of.id"
          class="border-b border-muted pb-3 grid gap-1.5"
          :data-hook="`feed-${c.of.shortName}`"
        >
          <div class="flex flex-wrap items-center gap-2">
            <b class="flex-1">{{ c.of.name }}</b>
            <UButton
              size="xs"
              color="neutral"
              variant="outline"
              :to="`/api/classes/${c.of.id}/file?kind=calendar`"
              external
              download
              :aria-label="`Calendar file of ${c.of.name}`"
              >Calendar file (.ics)</UButton
            >
            <UButton
              v-if="c.plan"
              size="xs"
              color="neutral"
              variant="outline"
              :to="`/api/classes/${c.of.id}/file?kind=layout`"
              external
              download
              :aria-label="`Layout table of ${c.of.name}`"
              >Layout table (.csv)</UButton
            >
          </div>
          <template v-if="c.of.mayChange">
            <div v-if="feeds[c.of.id]" class="flex flex-wrap items-center gap-2">
              <UInput
                class="code flex-1 min-w-40"
                readonly
                :model-value="full(feeds[c.of.id] ?? '')"
                :aria-label="`Feed address of ${c.of.name}`"
                data-hook="feed-address"
              /><UButton size="xs" @click="copy(feeds[c.of.id] ?? '')">Copy</UButton
              ><UButton size="xs" color="neutral" variant="outline" @click="change(c.of.id, 'new')"
                >New address</UButton
              ><UButton
                size="xs"
                color="error"
                variant="outline"
                data-hook="revoke-feed"
                @click="change(c.of.id, 'none')"
                >Revoke</UButton
              >
            </div>
            <UButton
              v-else
              size="xs"
              class="justify-self-start"
              data-hook="make-feed"
              @click="change(c.of.id, 'new')"
              >Make a private feed address</UButton
            >
          </template>
        </li>
      </ul>
      <p class="said mt-2">
        Whoever has a feed address can read the class's lessons and work titles, without names. Revoke it if
        it got about.
      </p>
    </template>
  </UModal>
</template>
