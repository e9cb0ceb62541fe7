<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { ShowStandard } from '#shared/contracts/library'
import type { StandardPage } from '#shared/contracts/library'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useShelf } from '../stores/shelf'
import OutlinePiece from './OutlinePiece.vue'
import PrerequisiteGraph from './PrerequisiteGraph.vue'

/** A standard in full: its words, what it needs, the pieces that serve it, and where the plan has it. */
const props = defineProps<{ code: string }>()
const emit = defineEmits<{ choose: [piece: string]; standard: [code: string]; build: [code: string] }>()
const shelf = useShelf()
const page = shallowRef<StandardPage | null>(null)
const problem = shallowRef<Refusal | null>(null)
watch(
  () => props.code,
  async (code) => {
    const reply = await call(ShowStandard, { params: { code } })
    if (code !== props.code) return
    page.value = reply.ok ? reply.value : null
    problem.value = reply.ok ? null : reply.error
  },
  { immediate: true },
)
const plans = computed(() => {
  const titles = [...new Set(page.value?.planned.map((p) => p.planTitle) ?? [])]
  return titles.map((title) => ({
    title,
    taught: page.value?.planned.filter((p) => p.planTitle === title && p.how === 'taught') ?? [],
    assessed: page.value?.planned.filter((p) => p.planTitle === title && p.how === 'assessed') ?? [],
  }))
})
</script>

<template>
  <p v-if="problem" class="note-line needs" role="alert">{{ sayRefusal(problem) }}</p>
  <article v-else-if="page" data-hook="standard-page">
    <header class="flex gap-4 items-start">
      <div class="flex-1">
        <p class="said">
          {{ page.path.map((s) => s.text).join(' · ') }} <span class="code">{{ page.standard.code }}</span>
        </p>
        <h2 class="!text-xl">{{ page.standard.text }}</h2>
      </div>
      <UButton
        v-if="page.itemCount"
        color="neutral"
        variant="outline"
        data-hook="build-from-this"
        @click="emit('build', page.standard.code)"
        >Build a check</UButton
      >
    </header>
    <section class="part" aria-label="Before and after">
      <h3>Before and after</h3>
      <p v-if="page.nodes.length === 1" class="said">Nothing comes before it, and nothing needs it.</p>
      <PrerequisiteGraph
        v-else
        :nodes="page.nodes"
        :ways="page.ways"
        :code="page.standard.code"
        @choose="emit('standard', $event)"
      />
    </section>
    <section class="part" aria-label="In the plans">
      <h3>In the plans</h3>
      <p v-if="plans.length === 0" class="said">No plan of yours teaches or assesses it yet.</p>
      <div v-for="plan in plans" :key="plan.title">
        <p>
          <b>{{ plan.title }}</b>
        </p>
        <p v-if="plan.taught.length" class="text-sm">
          taught in
          <template v-for="(l, i) in plan.taught" :key="l.number"
            >{{ i ? ', ' : '' }}{{ l.number }} {{ l.title }}</template
          >
        </p>
        <p v-if="plan.assessed.length" class="text-sm">
          assessed in
          <template v-for="(l, i) in plan.assessed" :key="l.number"
            >{{ i ? ', ' : '' }}{{ l.number }} {{ l.title }}</template
          >
        </p>
        <p v-else class="text-sm">not assessed</p>
      </div>
    </section>
    <section class="part" aria-label="Pieces">
      <h3>
        {{ count(page.pieces.length, 'piece') }}
        <span class="said font-normal">with {{ count(page.itemCount, 'item') }} on it</span>
      </h3>
      <ul>
        <li v-for="p in page.pieces" :key="p.id">
          <OutlinePiece
            :piece="p"
            :is-chosen="false"
            :from="shelf.whereFrom(p)"
            @choose="emit('choose', p.id)"
          />
        </li>
      </ul>
    </section>
  </article>
  <p v-else class="said">Opening …</p>
</template>

<style scoped>
.part {
  margin-top: 1.1rem;
  padding-top: 0.7rem;
  border-top: 1px solid var(--ui-border);
}
.part h3 {
  margin-bottom: 0.3rem;
}
</style>
