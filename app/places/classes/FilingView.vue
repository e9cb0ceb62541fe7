<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import { same } from '#core/base'
import { FILING_PARTS } from '#core/filing'
import { KeepFiling, ShowFiling } from '#shared/contracts/filing'
import type { ClassFiling } from '#shared/contracts/filing'
import { useDesk } from '~/places/pace'
import { useCombining } from '~/shared/conflict/combining'
import { useAddress } from '~/shared/frame/address'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import FilingList from './components/FilingList.vue'
import { draftOf, filingIn, renamedAway, renamedIn } from './filingDraft'
import type { FilingDraft } from './filingDraft'
import { FILING_CONFLICT } from './words/conflicts'

/** Under what a class's work is filed: headings for its learners, categories with weights for grading. */
const address = useAddress()
const desk = useDesk()
const tell = useTell()
const combining = useCombining()
const classId = computed(() => address.idNeeded<ClassId>('class'))
const page = shallowRef<ClassFiling | null>(null)
const draft = shallowRef<FilingDraft | null>(null)
const problem = ref('')
const busy = ref(false)
useHead({ title: computed(() => `Headings and categories of ${page.value?.name ?? 'a class'}`) })
async function load(): Promise<void> {
  const reply = await call(ShowFiling, { params: { classId: classId.value } })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  // what is being written stays, unless the lists were changed elsewhere
  const isNews = reply.value.classId !== page.value?.classId || reply.value.version !== page.value.version
  page.value = reply.value
  if (isNews) draft.value = draftOf(reply.value)
}
onMounted(() => desk.load())
watch([classId, () => desk.steps], () => void load(), { immediate: true })
const isChanged = computed(
  () => page.value !== null && draft.value !== null && !same(filingIn(draft.value), page.value.filing),
)
const weights = computed(() => draft.value?.categories.reduce((sum, c) => sum + c.weight, 0) ?? 0)
async function keep(): Promise<void> {
  if (!page.value || !draft.value) return
  busy.value = true
  const params = { classId: classId.value }
  const renamed = renamedIn(draft.value)
  const mine = filingIn(draft.value)
  const reply = await combining({
    what: 'these lists',
    parts: FILING_PARTS,
    words: FILING_CONFLICT,
    seen: { value: page.value.filing, version: page.value.version },
    mine,
    send: (filing, { version }) => {
      const body = { version, filing, renamed: [...renamedAway(renamed, mine, filing)] }
      return call(KeepFiling, { params, body })
    },
    current: async () => {
      const now = await call(ShowFiling, { params })
      return now.ok ? { value: now.value.filing, version: now.value.version } : null
    },
  })
  busy.value = false
  if (reply === null) return
  if (!reply.ok) return tell.refused(reply.error)
  const { works } = reply.value
  tell.done(works > 0 ? `Kept. ${count(works, 'piece')} of work filed anew` : 'Kept')
  await desk.load(true)
}
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1 min-w-60">
        <p class="said">
          <NuxtLink class="plain" to="/classes">Classes</NuxtLink> ·
          <NuxtLink class="plain" :to="`/classes/${classId}`">{{ page?.name ?? 'Class' }}</NuxtLink>
        </p>
        <h1>Headings and categories</h1>
      </div>
      <UButton v-if="page?.mayChange" :disabled="!isChanged || busy" data-hook="keep-filing" @click="keep"
        >Keep</UButton
      >
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!page || !draft" class="said">Opening …</p>
    <div v-else class="lists">
      <FilingList
        :model-value="draft.headings"
        title="Headings"
        about="Learners find finished work under them, in this order."
        add="Heading"
        :used="page.headings"
        :disabled="busy || !page.mayChange"
        @update:model-value="draft = { ...draft, headings: $event }"
      />
      <div>
        <FilingList
          :model-value="draft.categories"
          title="Grading categories"
          about="For you: a learner's whole is the mean of the categories' means, each with its weight."
          add="Category"
          :used="page.categories"
          weighted
          :disabled="busy || !page.mayChange"
          @update:model-value="draft = { ...draft, categories: $event }"
        />
        <p class="said mt-2" data-hook="weights">
          Weights together: {{ weights }}. A category without scores counts nothing; one of weight 0 is read
          only. “At once” is how many pieces of it a learner may have open before more of them wait in a
          queue.
        </p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.page-plain {
  max-width: 70rem;
}
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(19rem, 1fr));
  gap: 1.5rem;
}
</style>
