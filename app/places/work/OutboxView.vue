<script setup lang="ts">
import { useHead } from '#imports'
import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref, shallowRef } from 'vue'
import { ShowOutbox } from '#shared/contracts/running'
import type { SentLetter } from '#shared/contracts/running'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'
import { LETTER_WORDS } from './words/letters'

/** What the demo would have mailed to learners: a stand-in keeps it, nothing leaves this machine. */
useHead({ title: 'Outbox' })
const letters = shallowRef<readonly SentLetter[] | null>(null)
const problem = ref('')
async function load(): Promise<void> {
  const reply = await call(ShowOutbox)
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) letters.value = reply.value.letters
}
onMounted(load)
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void load()
}, 5000)
</script>

<template>
  <div class="px-5 py-4 max-w-3xl">
    <h1>Outbox</h1>
    <p class="said mt-1">
      What learners would have got by mail since the demo was started. Publish something, or give more time,
      and look again after some seconds.
    </p>
    <p v-if="problem" class="note-line needs mt-3" role="alert">{{ problem }}</p>
    <p v-else-if="!letters" class="said mt-4">Opening …</p>
    <p v-else-if="letters.length === 0" class="mt-4" data-hook="no-letters">Nothing was mailed yet.</p>
    <ul v-else class="mt-3" tabindex="0" aria-label="Letters" data-hook="letters">
      <li v-for="l in letters" :key="l.number" class="letter" data-hook="letter">
        <p>
          <b>{{ l.to.name }}</b> <span class="said">{{ sayMoment(l.at, l.zone) }}</span>
        </p>
        <p class="said">{{ count(l.lines.length, 'piece of news', 'pieces of news') }} about your work</p>
        <ul>
          <li v-for="(line, i) in l.lines" :key="i">
            {{ LETTER_WORDS[line.kind] }}: {{ line.title
            }}<template v-if="line.dueAt && line.kind !== 'taken-back'"
              >, due {{ sayMoment(line.dueAt, l.zone, 'due') }}</template
            >
          </li>
        </ul>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.letter {
  border-top: 1px solid var(--ui-border);
  padding-block: 0.6rem;
}
</style>
