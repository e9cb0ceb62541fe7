<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import type { NoticeKind } from '#core/work'
import { ListMyNotices, ReadMyNotices } from '#shared/contracts/myWork'
import type { MyNotice } from '#shared/contracts/myWork'
import { call } from '~/shared/wire/call'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { sayDay, sayMoment, zoneNamed } from '~/shared/words/times'

/** What a learner is told about their work, the newest first; shown is read. */
const emit = defineEmits<{ read: [] }>()
const notices = shallowRef<readonly MyNotice[] | null>(null)
const zone = ref('UTC')
const problem = ref('')
const WORDS: Record<NoticeKind, string> = {
  new: 'New',
  moved: 'Other dates',
  'more-time': 'More time',
  'more-tries': 'Another try',
  'taken-back': 'Taken back',
}
const dayOf = (n: MyNotice) => sayDay(zoneNamed(zone.value).local(n.fromAt).on)
onMounted(async () => {
  const reply = await call(ListMyNotices)
  if (!reply.ok) {
    problem.value = sayForEveryone(reply.error)
    return
  }
  zone.value = reply.value.zone
  notices.value = reply.value.notices
  if ((await call(ReadMyNotices, { body: {} })).ok) emit('read')
})
</script>

<template>
  <div class="news" data-hook="my-news" role="region" aria-label="What is new">
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!notices" class="said">Opening …</p>
    <p v-else-if="notices.length === 0" class="said">Nothing new in the last three weeks.</p>
    <ul v-else>
      <li v-for="n in notices" :key="n.id" :class="{ unread: !n.isRead }">
        <span class="said">{{ dayOf(n) }}</span>
        <span>
          <b>{{ WORDS[n.kind] }}</b><span v-if="!n.isRead" class="sr-only"> (not read yet)</span>:
          <template v-if="n.kind === 'taken-back'">{{ n.title }}</template>
          <NuxtLink v-else class="plain" :to="`/learn/${n.assignmentId}`">{{ n.title }}</NuxtLink>
          <span v-if="n.dueAt && n.kind !== 'taken-back'" class="said">
            · due {{ sayMoment(n.dueAt, zone, 'due') }}</span
          >
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.news {
  margin-top: 0.6rem;
  border-block: 1px solid var(--ui-border);
  padding-block: 0.3rem;
  max-height: 20rem;
  overflow: auto;
}
li {
  display: grid;
  grid-template-columns: 6rem 1fr;
  padding: 0.3rem 0.5rem;
  border-left: 3px solid transparent;
}
.unread {
  border-left-color: var(--ui-primary);
}
</style>
