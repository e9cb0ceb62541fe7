<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, ref } from 'vue'
import type { ClassId, LessonId } from '#core/base'
import { commandsBetween, withCuts } from '#core/pacing'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useTell } from '~/shared/frame/tell'
import StretchTable from './components/StretchTable.vue'
import CutTable from './components/fit/CutTable.vue'
import FitVerdict from './components/fit/FitVerdict.vue'
import { useFitting } from './composables/fitting'
import { useDesk } from './stores/desk'
import { count, meetingsOf } from '~/shared/words/numbers'
import { COST_OF_CUTS, sayNotPlaced } from './words/ways'

useHead({ title: 'Make it fit' })
const desk = useDesk()
const tell = useTell()
const address = useAddress()
onMounted(() => desk.load())

const mine = computed(() => desk.columns.filter((c) => c.plan && c.of.mayChange))
const column = computed(
  () =>
    mine.value.find((c) => c.of.id === address.text('class')) ??
    mine.value.find((c) => c.unplaced.length > 0) ??
    mine.value[0] ??
    null,
)
const fitting = useFitting(column)
const { keep, leaveOut, reaches, shortBy, got, stillOut, others, lesson, name, set, protect } = fitting
const busy = ref(false)
async function apply(): Promise<void> {
  const c = column.value
  if (!c || !got.value) return
  const commands = commandsBetween(c.of.id, c.of.pacing, withCuts(c.of.pacing, got.value.cuts))
  if (commands.length === 0) return
  busy.value = true
  const reply = await desk.act({ kind: 'together', purpose: { code: 'fit' }, commands })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`${c.of.name}: ${count(commands.length, 'lesson')} changed. Undo takes it back in one step.`)
  await navigateTo({ path: '/pace', query: { class: c.of.id } })
}
function choose(id: ClassId | null): void {
  if (id) void address.set({ class: id })
}
</script>

<template>
  <div class="p-5 grid gap-5 max-w-4xl">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Make it fit</h1>
      </div>
      <ChoiceButtons
        label="Class"
        :items="mine.map((c) => ({ value: c.of.id, label: c.of.shortName }))"
        :model-value="column?.of.id ?? null"
        @update:model-value="choose"
      />
    </header>
    <p v-if="desk.loaded && !column" class="said">
      None of your classes has a plan yet.
      <NuxtLink class="plain" to="/classes/plans">Lay one out</NuxtLink> first.
    </p>
    <template v-if="column && got">
      <section aria-labelledby="st-h">
        <h2 id="st-h">{{ column.of.name }}</h2>
        <StretchTable class="mt-1" :reaches="reaches" :column="column" />
      </section>
      <p v-if="got.fits && got.cuts.length === 0" class="note-line fine" role="status">
        Everything fits. Nothing has to be shortened or left out.
      </p>
      <section v-else aria-labelledby="cut-h" data-hook="fit">
        <h2 id="cut-h">{{ meetingsOf(shortBy) }} {{ shortBy <= 2 ? 'meeting' : 'meetings' }} too long</h2>
        <FitVerdict :fitting="fitting" />
        <CutTable v-if="got.cuts.length" :cuts="got.cuts" :lesson="lesson" @keep="protect" />
        <ul v-if="stillOut.length" class="text-sm mt-2">
          <li v-for="p in stillOut" :key="p.lessonId">
            {{ name(p.lessonId) }}:
            {{ sayNotPlaced(p.because, (id) => lesson(id as LessonId)?.number ?? '') }}
          </li>
        </ul>
        <div v-if="keep.size || leaveOut.size" class="flex flex-wrap gap-1.5 mt-3 items-center">
          <span class="said">You decided:</span>
          <UButton
            v-for="id in keep"
            :key="id"
            size="xs"
            color="neutral"
            variant="soft"
            trailing-icon="i-lucide-x"
            :aria-label="`No longer keep ${name(id)}`"
            @click="set('keep', id, false)"
            >keep {{ lesson(id)?.number }}</UButton
          >
          <UButton
            v-for="id in leaveOut"
            :key="id"
            size="xs"
            color="neutral"
            variant="soft"
            trailing-icon="i-lucide-x"
            :aria-label="`No longer leave out ${name(id)}`"
            @click="set('leave out', id, false)"
            >leave out {{ lesson(id)?.number }}</UButton
          >
        </div>
        <details v-if="others.length" class="mt-3">
          <summary class="cursor-pointer text-sm">Leave out something else instead</summary>
          <div class="flex flex-wrap gap-1.5 mt-2">
            <UButton
              v-for="l in others"
              :key="l.id"
              size="xs"
              color="neutral"
              variant="outline"
              :aria-label="`Leave out ${l.number} ${l.title}`"
              @click="
                () => {
                  set('leave out', l.id, true)
                  set('keep', l.id, false)
                }
              "
              >{{ l.number || l.title }}</UButton
            >
          </div>
        </details>
        <p v-if="got.cuts.length" class="said mt-3">
          {{ COST_OF_CUTS }}. Core lessons and fixed ones are never left out. Among equal costs, later lessons
          are cut first.
        </p>
        <div class="flex gap-2 mt-3">
          <UButton v-if="got.cuts.length" :loading="busy" data-hook="apply-fit" @click="apply"
            >Make these cuts in {{ column.of.name }}</UButton
          ><UButton color="neutral" variant="ghost" to="/pace">{{
            got.cuts.length ? 'Leave it as it is' : 'Back to the desk'
          }}</UButton>
        </div>
      </section>
    </template>
  </div>
</template>
