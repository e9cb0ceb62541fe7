<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { LearnerItem } from '#core/library'
import { partsOf, placesOf } from '#core/writing'
import { sayLength } from '../../textLength'
import { proofingClient } from '../../proofing/proofing.client'
import type { ProofingClient } from '../../proofing/proofing.client'
import type { Finding } from '../../proofing/proofing.protocol'

/** A look at one's own text before it is handed in: how long it is, which expected words it has, what to look at. */
const props = defineProps<{
  text: string
  item: Extract<LearnerItem, { readonly kind: 'extended' }>
  expected: readonly string[]
  /** Words that are not there yet may be named. */
  namesMissing: boolean
  spelling: boolean
}>()
/** The text as it was when it was looked at. */
const looked = ref<string | null>(null)
/** Null: nobody could look, for lack of a connection. */
const findings = shallowRef<readonly Finding[] | null>([])
const busy = ref(false)
let client: ProofingClient | null = null
onBeforeUnmount(() => client?.end())

const isOld = computed(() => looked.value !== null && looked.value !== props.text)
const parts = computed(() => partsOf(looked.value ?? '', props.expected))
const isUsed = (word: string) => placesOf(looked.value ?? '', word).length > 0
const used = computed(() => props.expected.filter(isUsed))
const missing = computed(() => (props.namesMissing ? props.expected.filter((w) => !isUsed(w)) : []))
const WORDS: Readonly<Record<Finding['kind'], string>> = {
  spelling: 'Is this spelt right?',
  twice: 'The same word twice?',
  article: 'Is it “a” or “an”?',
}
const wordsAt = ({ start, end }: Finding) => (looked.value ?? '').slice(start, end)

async function look(): Promise<void> {
  looked.value = props.text
  findings.value = []
  if (!props.spelling || props.text.trim() === '') return
  client ??= proofingClient()
  busy.value = true
  findings.value = await client.ask(props.text, [...props.expected, props.item.stem])
  busy.value = false
  if (findings.value !== null) return
  // a worker that was not fetched stays so
  client.end()
  client = null
}
</script>

<template>
  <section class="own" aria-label="Your own check" data-hook="own-check">
    <UButton
      type="button"
      color="neutral"
      variant="outline"
      icon="i-lucide-search-check"
      :loading="busy"
      data-hook="check-text"
      @click="look"
      >{{ looked === null ? 'Check my text' : 'Check it again' }}</UButton
    >
    <div v-if="looked !== null" class="found" role="status">
      <p v-if="isOld" class="said">You have changed the text since.</p>
      <p>{{ sayLength(looked, item) }}.</p>
      <template v-if="expected.length">
        <p>
          {{ used.length }} of {{ expected.length }} expected words<template v-if="missing.length"
            >; not there yet: {{ missing.join(', ') }}</template
          >.
        </p>
        <p v-if="looked" class="text">
          <template v-for="(part, i) in parts" :key="i"
            ><mark v-if="part.isExpected">{{ part.text }}</mark
            ><template v-else>{{ part.text }}</template></template
          >
        </p>
      </template>
      <p v-if="findings === null" class="note-line care" data-hook="no-dictionary">
        No connection: the spelling could not be looked at. Your text is kept; check it again later.
      </p>
      <ul v-else-if="findings.length" data-hook="findings">
        <li v-for="f in findings" :key="f.start">
          <q>{{ wordsAt(f) }}</q> {{ WORDS[f.kind]
          }}<template v-if="f.instead.length"> Perhaps: {{ f.instead.join(', ') }}.</template>
        </li>
      </ul>
      <p v-else-if="spelling && !busy && looked.trim()">Nothing to look at in the spelling.</p>
    </div>
  </section>
</template>

<style scoped>
.own {
  margin-left: 1.9rem;
  display: grid;
  gap: 0.5rem;
  justify-items: start;
}
.found {
  width: 100%;
  display: grid;
  gap: 0.4rem;
  padding: 0.6rem 0.9rem;
  border-left: 3px solid var(--line);
  background: var(--ui-bg-muted);
}
.text {
  white-space: pre-wrap;
  line-height: 1.6;
  overflow-wrap: anywhere;
}
mark {
  background: none;
  color: inherit;
  border-bottom: 2px solid var(--ui-primary);
}
ul {
  display: grid;
  gap: 0.2rem;
}
q {
  font-weight: 650;
}
</style>
