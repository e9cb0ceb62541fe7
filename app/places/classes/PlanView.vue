<script setup lang="ts">
import { navigateTo, onBeforeRouteLeave, useHead, useRoute } from '#imports'
import { computed, onMounted, ref } from 'vue'
import type { LessonId, PlanId } from '#core/base'
import type { TableMerge } from '#core/pacing'
import { CopyPlan } from '#shared/contracts/plans'
import { usePlanDraft } from './composables/planDraft'
import { useTell } from '~/shared/frame/tell'
import { useDesk } from '~/places/pace'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import PlanFields from './components/plan/PlanFields.vue'
import PlanFit from './components/plan/PlanFit.vue'
import PlanParts from './components/plan/PlanParts.vue'
import PlanPaste from './components/plan/PlanPaste.vue'
import PlanRows from './components/plan/PlanRows.vue'

const route = useRoute()
const planId = String(route.params.planId) as PlanId
const plan = usePlanDraft(planId)
const { page, problem, draft, command, fault } = plan
const desk = useDesk()
const tell = useTell()
const selected = ref<ReadonlySet<LessonId>>(new Set())
const pasting = ref(false)
const busy = ref(false)
useHead({ title: computed(() => page.value?.plan.title ?? 'Plan') })
onMounted(() => Promise.all([plan.load(), desk.load()]))

const chosen = computed(() => draft.value?.lessons.filter((l) => selected.value.has(l.id)) ?? [])
const changes = computed(() =>
  command.value
    ? command.value.lessons.length +
      (command.value.order && command.value.lessons.length === 0 ? 1 : 0) +
      (command.value.units ? 1 : 0)
    : 0,
)
/** Where the chosen lesson lies now in a class that follows the plan: the day first offered for fixing it. */
const proposedOn = computed(() => {
  const [id] = selected.value
  const column = desk.columns.find((c) => c.of.planId === planId && id && c.extents.has(id))
  const extent = id && column?.extents.get(id)
  return (extent && column?.calendar.meetings[extent.first]?.on) || null
})

function choose(ids: ReadonlySet<LessonId>): void {
  selected.value = ids
}
function take(merge: TableMerge): void {
  plan.change(merge.plan)
  pasting.value = false
}
function remove(): void {
  plan.remove(selected.value)
  selected.value = new Set()
}
function add(): void {
  const last = [...selected.value].pop() ?? null
  selected.value = new Set([plan.addAfter(last)])
}
async function save(): Promise<void> {
  busy.value = true
  const reply = await plan.save()
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(
    reply.value.moved > 0
      ? `Kept. ${count(reply.value.moved, 'piece')} of work moved with the plan`
      : 'Kept. Undo takes it all back in one step.',
  )
}
async function copy(): Promise<void> {
  const reply = await call(CopyPlan, { params: { planId } })
  if (!reply.ok) return tell.refused(reply.error)
  await navigateTo(`/classes/plan/${reply.value.planId}`)
}
function edit(): void {
  document.querySelector<HTMLElement>('#plan-fields input, #plan-fields button')?.focus()
}
onBeforeRouteLeave(() => {
  if (command.value) tell.done('Your changes to the plan wait here until you keep them.')
})
</script>

<template>
  <div class="editor">
    <header class="head">
      <div class="flex-1 min-w-0">
        <p class="said">
          <NuxtLink class="plain" to="/classes/plans">Plans</NuxtLink
          ><template v-if="page && !page.mayEdit"> · {{ page.owner }}'s plan, to read</template>
        </p>
        <h1 class="truncate">{{ page?.plan.title ?? 'Plan' }}</h1>
        <PlanFit v-if="draft" :plan="draft" />
      </div>
      <UButton
        color="neutral"
        variant="outline"
        size="xs"
        :to="`/classes/standing/${planId}`"
        data-hook="standing-work"
        >Standing work</UButton
      >
      <UButton color="neutral" variant="outline" size="xs" :to="`/api/plans/${planId}/file`" external download
        >As a table (.csv)</UButton
      >
      <template v-if="page?.mayEdit">
        <UButton
          color="neutral"
          variant="outline"
          size="xs"
          :aria-expanded="pasting"
          data-hook="paste"
          @click="
            () => {
              pasting = !pasting
            }
          "
          >Paste rows</UButton
        >
        <UButton
          color="neutral"
          variant="outline"
          size="xs"
          icon="i-lucide-plus"
          data-hook="add-lesson"
          @click="add"
          >Add a lesson</UButton
        >
        <UButton v-if="command" color="neutral" variant="ghost" size="xs" @click="plan.discard()"
          >Drop changes</UButton
        >
        <UButton
          size="xs"
          :disabled="!command || fault !== null"
          :loading="busy"
          data-hook="save-plan"
          @click="save"
          >{{ changes > 0 ? `Keep ${count(changes, 'change')}` : 'Kept' }}</UButton
        >
      </template>
      <UButton v-else-if="page" size="xs" @click="copy">Copy it to change it</UButton>
    </header>
    <p v-if="problem" class="note-line needs m-4" role="alert">{{ sayRefusal(problem) }}</p>
    <p v-if="fault" class="note-line needs mx-4 mt-2" role="alert">{{ sayRefusal(fault) }}</p>
    <div v-if="draft" class="split">
      <div class="list">
        <PlanPaste v-if="pasting" class="pb-4" :merged="plan.merged" @take="take" />
        <PlanRows
          :plan="draft"
          :selected="selected"
          :may-edit="page?.mayEdit ?? false"
          @select="choose"
          @step="plan.step(selected, $event)"
          @move-beside="(id, side) => plan.moveBeside(selected, id, side)"
          @remove="remove"
          @edit="edit"
        />
      </div>
      <aside v-if="page?.mayEdit" id="plan-fields" class="fields" aria-label="Details">
        <PlanFields
          v-if="chosen.length"
          :key="[...selected].join()"
          :proposed-on="proposedOn"
          :plan="draft"
          :lessons="chosen"
          @set="plan.set(selected, $event)"
          @remove="remove"
          @step="plan.step(selected, $event)"
          @rename-unit="plan.renameUnit"
        />
        <div v-else class="grid gap-5">
          <div class="said grid gap-2">
            <p>Choose a lesson to change it. Shift or Ctrl chooses several, to change them together.</p>
            <p>
              Alt ↑ ↓ moves what is chosen, Delete takes it out, Enter goes to its fields. Rows can be
              dragged.
            </p>
          </div>
          <PlanParts :plan="draft" :year="page.year" @change="plan.change" />
        </div>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
  padding: 0.6rem 1.25rem;
  border-bottom: 1px solid var(--ui-border);
}
.split {
  flex: 1;
  min-height: 0;
  display: flex;
}
.list {
  flex: 1;
  min-width: 0;
  overflow: auto;
  padding: 0.75rem 1.25rem 3rem;
}
.fields {
  width: 20rem;
  flex: none;
  overflow: auto;
  scroll-padding-block: 2rem;
  padding: 1rem;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
}
@media (max-width: 900px) {
  .head > :first-child {
    flex-basis: 100%;
  }
  .split {
    flex-direction: column;
  }
  .fields {
    width: auto;
    max-height: 45%;
    border-left: 0;
    border-top: 1px solid var(--ui-border);
  }
}
</style>
