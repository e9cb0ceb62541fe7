<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue'
import type { ItemId, ResourceId } from '#core/base'
import { isOmitted } from '#core/library'
import type { Answer } from '#core/library'
import { CheckPractice, OpenPractice } from '#shared/contracts/practice'
import type { PracticeDone, PracticePiece } from '#shared/contracts/practice'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayForLearner } from '~/shared/words/tryRefusals'
import AnswerInput from './components/AnswerInput.vue'
import ItemResult from './components/ItemResult.vue'
import PieceMaterial from './components/PieceMaterial.vue'

useHead({ title: 'Practice' })
const route = useRoute()
const resourceId = String(route.params.id) as ResourceId
const piece = shallowRef<PracticePiece | null>(null)
const done = shallowRef<PracticeDone | null>(null)
const problem = ref('')
const busy = ref(false)
// kept on this machine while somebody practises: nothing of it counts
const answers = useLocalStorage<Record<string, Answer>>(
  `practice ${useMe().me?.userId ?? ''} ${resourceId}`,
  {},
)
onMounted(async () => {
  const reply = await call(OpenPractice, { params: { resourceId } })
  if (reply.ok) piece.value = reply.value
  else problem.value = sayForLearner(reply.error)
})
const given = computed(() =>
  (piece.value?.items ?? []).flatMap((item) => {
    const answer = answers.value[item.id]
    return answer && answer.kind === item.kind && !isOmitted(answer) ? [{ itemId: item.id, answer }] : []
  }),
)
const resultOf = (id: ItemId) => done.value?.results.find((r) => r.itemId === id)
function set(id: ItemId, answer: Answer): void {
  answers.value = { ...answers.value, [id]: answer }
}
async function check(): Promise<void> {
  busy.value = true
  problem.value = ''
  const reply = await call(CheckPractice, { params: { resourceId }, body: { answers: given.value } })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayForLearner(reply.error)
    return
  }
  done.value = reply.value
  await nextTick()
  document.querySelector<HTMLElement>('[data-hook="practised"]')?.focus()
}
function again(): void {
  done.value = null
  answers.value = {}
  document.querySelector('main')?.scrollTo({ top: 0 })
}
</script>

<template>
  <div class="pt-4">
    <NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink>
    <h1 v-if="!piece" class="mt-2">Practice</h1>
    <p v-if="problem" class="note-line needs my-3" role="alert">{{ problem }}</p>
    <template v-if="piece">
      <header class="mt-2 mb-3">
        <p class="said">{{ KIND_WORDS[piece.kind] }} · practice, does not count</p>
        <h1>{{ piece.title }}</h1>
      </header>
      <PieceMaterial :material="piece.material" :content="piece.content" />
      <form @submit.prevent="check">
        <div v-for="(item, i) in piece.items" :key="item.id" class="one">
          <AnswerInput
            :item="item"
            :number="i + 1"
            :answer="answers[item.id]"
            :is-final="done !== null"
            :spelling="true"
            @answer="set(item.id, $event)"
          />
          <details v-if="item.hint && !done" class="hint">
            <summary>Hint</summary>
            {{ item.hint }}
          </details>
          <ItemResult v-if="resultOf(item.id)" :shown="resultOf(item.id)!" :of="item.points" />
        </div>
        <div v-if="done" class="py-5" tabindex="-1" data-hook="practised">
          <p v-if="done.ratio !== null" class="mb-3">
            <strong class="display text-2xl">{{ percent(done.ratio) }}</strong>
            <span class="said"> of all questions; {{ count(done.times, 'time') }} practised</span>
          </p>
          <p v-else class="mb-3">Done.</p>
          <p v-if="done.heldBackBy" class="note-line care mb-3" data-hook="held-back">
            Right answers are not shown: “{{ done.heldBackBy }}” asks the same, and shows them later.
          </p>
          <UButton size="lg" variant="outline" type="button" data-hook="again" @click="again"
            >Start anew</UButton
          >
        </div>
        <div v-else class="py-5">
          <UButton
            size="lg"
            type="submit"
            :loading="busy"
            :disabled="piece.items.length > 0 && given.length === 0"
            data-hook="check-practice"
            >{{ piece.items.length ? 'Check my answers' : 'I have looked at it' }}</UButton
          >
        </div>
      </form>
    </template>
    <p v-else-if="!problem" class="said">Opening …</p>
  </div>
</template>

<style scoped>
.one {
  display: grid;
  gap: 0.5rem;
  padding-bottom: 1.2rem;
  border-bottom: 1px solid var(--ui-border);
}
.hint {
  margin-left: 1.9rem;
  font-size: 0.89rem;
}
.hint summary {
  cursor: pointer;
  min-height: 24px;
  color: var(--ui-text-muted);
}
</style>
