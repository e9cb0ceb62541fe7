<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { isOmitted } from '#core/library'
import type { OpenTry } from '#shared/contracts/learning'
import { useAnswering } from '../composables/answering'
import { useServerNow } from '~/shared/session/serverNow'
import { toHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { sayCountdown, sayTime } from '~/shared/words/times'
import AnswerInput from './AnswerInput.vue'
import TwoAnswers from './TwoAnswers.vue'

const props = defineProps<{ attempt: OpenTry; content: string; zone: string }>()
const emit = defineEmits<{ done: [] }>()
const { answers, elsewhere, set, choose, flush, handIn, savedAt, status, refusal } = useAnswering(
  props.attempt,
)
const now = useServerNow(1000)
const asking = ref(false)
const busy = ref(false)
const problem = ref('')
const open = computed(() => props.attempt.items.filter((i) => isOmitted(answers.value[i.id])))
const timeIsUp = computed(() => props.attempt.deadlineAt !== null && now.value >= props.attempt.deadlineAt)
const saved = computed(
  () =>
    ({
      saved: savedAt.value ? `saved ${sayTime(savedAt.value, props.zone)}` : 'all saved',
      saving: 'saving …',
      lost: 'not saved yet, no connection. Keep this page open.',
      choose: 'answered on another page, too: choose below which answer counts',
    })[status.value],
)

async function submit(): Promise<void> {
  busy.value = true
  const reply = await handIn()
  busy.value = false
  asking.value = false
  if (reply.ok) emit('done')
  else if (reply.error.code === 'attempts/answered-elsewhere') problem.value = sayForEveryone(reply.error)
  else if (reply.error.code === 'wire/lost')
    problem.value = 'No connection. Your answers are kept on this machine; hand in again when you are back.'
  else emit('done')
}
function jump(id: string): void {
  asking.value = false
  const target = document.querySelector<HTMLElement>(`[data-item="${id}"] input`)
  target?.focus()
  target?.scrollIntoView({ block: 'center' })
}
watch(
  timeIsUp,
  (up) => {
    if (up) void submit()
  },
  { immediate: true },
)
watch(refusal, (r) => {
  if (r) problem.value = sayForEveryone(r, { zone: props.zone })
})
</script>

<template>
  <div>
    <div class="status" role="status" aria-live="polite">
      <span :class="status" data-hook="saved">{{ saved }}</span>
      <span class="flex-1" />
      <span>{{ attempt.items.length - open.length }} of {{ attempt.items.length }} answered</span>
    </div>
    <div
      v-if="attempt.deadlineAt"
      class="clock"
      :class="{ soon: attempt.deadlineAt - now < 300_000 }"
      role="timer"
    >
      {{ sayCountdown(attempt.deadlineAt, now) }} left
    </div>
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <div v-if="content" class="prose" v-html="toHtml(content)" />
    <form
      @submit.prevent="
        () => {
          asking = true
        }
      "
      @focusout="flush"
    >
      <template v-for="(item, i) in attempt.items" :key="item.id">
        <AnswerInput :item="item" :number="i + 1" :answer="answers[item.id]" @answer="set(item.id, $event)" />
        <TwoAnswers
          v-if="elsewhere[item.id]"
          :item="item"
          :mine="answers[item.id] ?? null"
          :theirs="elsewhere[item.id]?.answer ?? null"
          @choose="choose(item.id, $event)"
        />
      </template>
      <p v-if="problem" class="note-line needs mt-4" role="alert">
        {{ problem }}
        <UButton v-if="refusal" size="xs" variant="link" @click="emit('done')">See where it stands</UButton>
      </p>
      <div class="py-6">
        <UButton type="submit" size="lg" :loading="busy" data-hook="hand-in">Hand in</UButton>
      </div>
    </form>
    <UModal
      v-model:open="asking"
      :close="false"
      title="Hand in?"
      :description="
        open.length === 0
          ? 'Everything is answered. You cannot change this try afterwards.'
          : `${count(open.length, 'question')} not answered yet. You cannot change this try afterwards.`
      "
    >
      <template v-if="open.length" #body
        ><div class="flex flex-wrap gap-1.5">
          <UButton
            v-for="i in open"
            :key="i.id"
            size="xs"
            color="neutral"
            variant="outline"
            @click="jump(i.id)"
            >Question {{ attempt.items.indexOf(i) + 1 }}</UButton
          >
        </div></template
      >
      <template #footer
        ><UButton size="md" :loading="busy" autofocus data-hook="confirm-hand-in" @click="submit"
          >Hand in</UButton
        ><UButton
          size="md"
          color="neutral"
          variant="ghost"
          @click="
            () => {
              asking = false
            }
          "
          >Not yet</UButton
        ></template
      >
    </UModal>
  </div>
</template>

<style scoped>
.status {
  position: sticky;
  top: 0;
  z-index: 5;
  display: flex;
  gap: 1rem;
  padding: 0.5rem 0;
  background: var(--ui-bg);
  border-bottom: 1px solid var(--ui-border);
  font-size: 0.9rem;
  color: var(--ui-text-muted);
}
.saved {
  color: var(--ui-success);
  font-weight: 600;
}
.lost,
.choose {
  color: var(--ui-error);
  font-weight: 600;
}
.clock {
  position: sticky;
  top: 2.3rem;
  z-index: 5;
  background: var(--ui-bg);
  font-weight: 650;
  font-variant-numeric: tabular-nums;
  padding: 0.3rem 0;
}
.clock.soon {
  color: var(--ui-warning);
}
</style>
