<script setup lang="ts">
import { navigateTo, useHead, useRoute } from '#imports'
import { onMounted, ref } from 'vue'
import type { ResourceId } from '#core/base'
import { FindPiece } from '#shared/contracts/practice'
import { call } from '~/shared/wire/call'
import { sayForLearner } from '~/shared/words/tryRefusals'

/** Where a link in a text leads a learner: to their work, to practice, or to a word that it is not given to them. */
useHead({ title: 'A page' })
const resourceId = String(useRoute().params.id) as ResourceId
const said = ref('')
onMounted(async () => {
  const reply = await call(FindPiece, { params: { resourceId } })
  const found = reply.ok ? reply.value.place : null
  if (found?.kind === 'work')
    await navigateTo(`/learn/${found.assignmentId}?piece=${found.pieceId}`, { replace: true })
  else if (found) await navigateTo(`/learn/practice/${resourceId}`, { replace: true })
  else said.value = reply.ok ? 'Your teacher has not given you this page.' : sayForLearner(reply.error)
})
</script>

<template>
  <div class="pt-4">
    <NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink>
    <h1 class="mt-2">A page from a text</h1>
    <p v-if="said" class="note-line care my-3" role="status" data-hook="not-given">{{ said }}</p>
    <p v-else class="said">Looking for it …</p>
  </div>
</template>
