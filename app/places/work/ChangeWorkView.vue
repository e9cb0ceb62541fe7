<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, onMounted, shallowRef, watch } from 'vue'
import type { AssignmentId } from '#core/base'
import { ShowWork } from '#shared/contracts/work'
import type { WorkPage } from '#shared/contracts/work'
import type { Refusal } from '#shared/contracts/refusal'
import { useDesk } from '~/places/pace'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import WorkComposer from './components/WorkComposer.vue'

const route = useRoute()
const desk = useDesk()
const page = shallowRef<WorkPage | null>(null)
const problem = shallowRef<Refusal | null>(null)
const STATES = { held: 'held, not yet published', published: 'published', withdrawn: 'withdrawn' } as const
useHead({ title: computed(() => page.value?.draft.title ?? 'Work') })

async function load(): Promise<void> {
  const reply = await call(ShowWork, { params: { assignmentId: route.params.id as AssignmentId } })
  page.value = reply.ok ? reply.value : null
  problem.value = reply.ok ? null : reply.error
}
onMounted(load)
// undo and redo may have changed what is shown
watch(
  () => desk.steps,
  () => void load(),
)
</script>

<template>
  <div>
    <template v-if="page">
      <header class="px-5 pt-4 flex gap-3 items-baseline flex-wrap">
        <h1>{{ page.draft.title }}</h1>
        <span class="said"
          >{{ STATES[page.state]
          }}<template v-if="page.begun"
            >, {{ count(page.begun, 'learner has', 'learners have') }} begun</template
          ></span
        ><NuxtLink
          v-if="page.state === 'published'"
          class="plain text-sm"
          :to="{ path: '/evidence', query: { work: page.id } }"
          >See what came back</NuxtLink
        >
      </header>
      <p v-if="!page.isWhole" class="note-line care mx-5 mt-3" data-hook="part">
        This work goes to classes of others, too. What you change, publish or withdraw here reaches your own
        classes only; what all share is for its author to change.
      </p>
      <WorkComposer
        :key="page.version"
        :initial="page.draft"
        :known="page"
        because=""
        :lesson="null"
        @changed="load"
      />
    </template>
    <p v-else-if="problem" class="note-line needs m-5" role="alert">
      {{ sayRefusal(problem) }} <NuxtLink class="plain" to="/work">Back to the list</NuxtLink>
    </p>
    <p v-else class="said p-5">Opening …</p>
  </div>
</template>
