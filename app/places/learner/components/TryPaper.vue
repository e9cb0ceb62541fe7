<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { isOmitted } from '#core/library'
import type { LearnerItem, Material } from '#core/library'
import { isSupportItem } from '#core/versions'
import { shortfallOf } from '#core/writing'
import type { Support } from '#core/versions'
import type { OpenTry } from '#shared/contracts/learning'
import { useAnswering } from '../composables/answering'
import { useServerNow } from '~/shared/session/serverNow'
import { sayForLearner } from '~/shared/words/tryRefusals'
import { sayTime } from '~/shared/words/times'
import { sayShortfall } from '../textLength'
import HandInDialog from './HandInDialog.vue'
import PieceMaterial from './PieceMaterial.vue'
import TryHead from './TryHead.vue'
import TryItem from './TryItem.vue'

// most tries allow no tools: what they need comes only where they are
const TryHelp = defineAsyncComponent(() => import('./TryHelp.vue'))
const SupportPanel = defineAsyncComponent(() => import('./support/SupportPanel.vue'))
const FillIn = defineAsyncComponent(() => import('./support/FillIn.vue'))
const props = defineProps<{
  attempt: OpenTry
  content: string
  material: Material
  support: Support | null
  zone: string
  /** A further try goes on with what was handed in. */
  goesOn: boolean
  /** Something was handed in as a file: it stands for a text. */
  hasFiles: boolean
}>()
const emit = defineEmits<{ done: [] }>()
const { paper, answers, elsewhere, set, choose, flush, fix, handIn, savedAt, status, refusal } = useAnswering(
  props.attempt,
)
const now = useServerNow(1000)
const asking = ref(false)
const busy = ref(false)
const problem = ref('')
const hasTools = computed(() => paper.value.help.includes('calculator') || paper.value.example !== null)
const isOneByOne = computed(() => paper.value.mode === 'one-after-another')
/** Questions that are not answered for good. */
const left = computed(() => paper.value.items.filter((i) => !(i.id in paper.value.fixed)))
/** What there is to fill in of the support; it is handed in along with the answers. */
const toFill = computed(() => paper.value.items.filter(isSupportItem))
const questions = computed(() => paper.value.items.filter((i) => !isSupportItem(i)))
const open = computed(() =>
  left.value.filter((i) => {
    const isText = i.kind === 'extended'
    return !isSupportItem(i) && isOmitted(answers.value[i.id]) && !(isText && props.hasFiles)
  }),
)
/** Texts far below their least length, and a plan that was left empty, with the figures. */
const tooShort = computed(() => {
  const texts = questions.value.flatMap((item, i) => {
    const answer = answers.value[item.id]
    if (item.kind !== 'extended' || answer?.kind !== 'extended' || isOmitted(answer)) return []
    const short = shortfallOf(answer.text, item)
    return short ? [sayShortfall(i + 1, short)] : []
  })
  const isWithoutPlan =
    props.support !== null &&
    props.support.organisers.length > 0 &&
    toFill.value.every((item) => isOmitted(answers.value[item.id]))
  return isWithoutPlan ? [...texts, 'Your plan is still empty.'] : texts
})
const progress = computed(() => {
  const { length } = questions.value
  if (isOneByOne.value) return `question ${length} of at most ${paper.value.most ?? length}`
  return `${length - open.value.length} of ${length} answered`
})
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
  else if (reply.error.code === 'attempts/answered-elsewhere') problem.value = sayForLearner(reply.error)
  else if (reply.error.code === 'wire/lost')
    problem.value = 'No connection. Your answers are kept on this machine; hand in again when you are back.'
  else emit('done')
}
/** The next question, or the first without an answer, comes into view and takes the focus. */
async function giveForGood(item: LearnerItem): Promise<void> {
  busy.value = true
  problem.value = ''
  const reply = await fix(item.id)
  busy.value = false
  if (!reply.ok) problem.value = sayForLearner(reply.error, { zone: props.zone })
  await nextTick()
  const next = isOneByOne.value ? left.value[0] : undefined
  if (reply.ok && next) jump(next.id)
}
function jump(id: string): void {
  asking.value = false
  const target = document.querySelector<HTMLElement>(
    `[data-item="${id}"] :is(input, select, textarea, button:enabled)`,
  )
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
  if (r) problem.value = sayForLearner(r, { zone: props.zone })
})
</script>

<template>
  <div>
    <TryHead
      :status="status"
      :saved="saved"
      :progress="progress"
      :deadline-at="attempt.deadlineAt"
      :now="now"
    >
      <TryHelp v-if="hasTools" :help="paper.help" :example="paper.example" />
    </TryHead>
    <PieceMaterial :material="material" :content="content" :support="support" />
    <SupportPanel v-if="support" :support="support" part="rest" />
    <form
      @submit.prevent="
        () => {
          asking = true
        }
      "
      @focusout="flush"
    >
      <FillIn
        v-for="item in toFill"
        :key="item.id"
        :item="item"
        :organisers="support?.organisers ?? []"
        :answer="answers[item.id]"
        :elsewhere="elsewhere[item.id]"
        :spelling="paper.help.includes('spelling')"
        @answer="set(item.id, $event)"
        @choose="choose(item.id, $event)"
      />
      <SupportPanel v-if="support" :support="support" part="words" />
      <TryItem
        v-for="(item, i) in questions"
        :key="item.id"
        :item="item"
        :number="i + 1"
        :answer="answers[item.id]"
        :elsewhere="elsewhere[item.id]"
        :given="paper.fixed[item.id]"
        :mode="paper.mode"
        :help="paper.help"
        :expected="paper.expected"
        :language="paper.language"
        :busy="busy"
        @answer="set(item.id, $event)"
        @choose="choose(item.id, $event)"
        @fix="giveForGood(item)"
      />
      <p v-if="problem" class="note-line needs mt-4" role="alert">
        {{ problem }}
        <UButton v-if="refusal" size="xs" variant="link" @click="emit('done')">See where it stands</UButton>
      </p>
      <slot name="files" />
      <div class="py-6">
        <p v-if="isOneByOne && !left.length" class="mb-3">That was the last question.</p>
        <UButton
          type="submit"
          size="lg"
          :variant="isOneByOne && left.length ? 'outline' : 'solid'"
          :color="isOneByOne && left.length ? 'neutral' : 'primary'"
          :loading="busy"
          data-hook="hand-in"
          >{{ isOneByOne && left.length ? 'Stop here and hand in' : 'Hand in' }}</UButton
        >
      </div>
    </form>
    <HandInDialog
      v-model="asking"
      :open="open.map((i) => ({ id: i.id, number: questions.indexOf(i) + 1 }))"
      :busy="busy"
      :goes-on="goesOn"
      :short="tooShort"
      @submit="submit"
      @jump="jump"
    />
  </div>
</template>
