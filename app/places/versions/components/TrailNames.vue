<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { TrailId } from '#core/base'
import { FEWEST_TRAILS, MOST_TRAILS, TRAIL_SETTING_PARTS } from '#core/versions'
import type { StepThresholds, TrailSetting } from '#core/versions'
import { SetTrailSettings, ShowTrailSettings } from '#shared/contracts/versions'
import type { TrailSettings } from '#shared/contracts/versions'
import { useCombining } from '~/shared/conflict/combining'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { settingWords } from '../words/conflicts'

/** The school's trails by name, from least support to most, and from which scores a step is suggested. */
const emit = defineEmits<{ changed: [] }>()
const tell = useTell()
const combining = useCombining()
const isOpen = ref(false)
const settings = shallowRef<TrailSettings | null>(null)
const trails = ref<{ id: TrailId; name: string }[]>([])
const thresholds = ref<StepThresholds | null>(null)
const problem = ref('')
const NUMBERS: readonly { readonly field: keyof StepThresholds; readonly label: string }[] = [
  { field: 'lessFrom', label: 'Less support from, in %' },
  { field: 'lessTimes', label: 'so many times in a row' },
  { field: 'moreBelow', label: 'More support below, in %' },
  { field: 'moreTimes', label: 'so many times in a row' },
  { field: 'moreAtOnce', label: 'More support at once below, in %' },
  { field: 'stuckTimes', label: 'Look at it after so many with most support' },
]
async function load(): Promise<void> {
  const reply = await call(ShowTrailSettings)
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  settings.value = reply.value
  trails.value = reply.value.trails.map(({ id, name }) => ({ id, name }))
  thresholds.value = { ...reply.value.thresholds }
}
watch(isOpen, (open) => {
  if (open) void load()
})
function set(field: keyof StepThresholds, to: number): void {
  if (thresholds.value) thresholds.value = { ...thresholds.value, [field]: to }
}
function swap(at: number): void {
  const [a, b] = [trails.value[at - 1], trails.value[at]]
  if (a && b) trails.value.splice(at - 1, 2, b, a)
}
function takeOut(at: number): void {
  trails.value.splice(at, 1)
}
function add(): void {
  const free = [1, 2, 3, 4, 5, 6].map((n) => `trail${n}` as TrailId)
  const id = free.find((one) => trails.value.every((t) => t.id !== one))
  if (id) trails.value.push({ id, name: '' })
}
async function save(): Promise<void> {
  if (!settings.value || !thresholds.value) return
  const settingOf = ({ trails, thresholds }: TrailSettings): TrailSetting => ({
    trails: trails.map(({ id, name }) => ({ id, name })),
    thresholds,
  })
  const reply = await combining({
    what: 'these names and scores',
    parts: TRAIL_SETTING_PARTS,
    words: settingWords(NUMBERS),
    seen: { value: settingOf(settings.value), version: settings.value.version },
    mine: { trails: trails.value, thresholds: thresholds.value },
    send: (mine, { version }) =>
      call(SetTrailSettings, { body: { trails: [...mine.trails], thresholds: mine.thresholds, version } }),
    current: async () => {
      const now = await call(ShowTrailSettings)
      return now.ok ? { value: settingOf(now.value), version: now.value.version } : null
    },
  })
  if (reply === null) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  isOpen.value = false
  tell.done('Kept for the whole school.')
  emit('changed')
}
</script>

<template>
  <UModal
    v-model:open="isOpen"
    title="Trails of this school"
    description="From least support to most. Learners never see these names."
  >
    <UButton size="sm" color="neutral" variant="outline" data-hook="trail-names">Names and scores</UButton>
    <template #body>
      <form v-if="settings && thresholds" class="grid gap-4" @submit.prevent="save">
        <p v-if="!settings.maySet" class="note-line care">
          The office and the department lead change these, for the whole school.
        </p>
        <ol class="grid gap-1">
          <li v-for="(t, i) in trails" :key="t.id" class="flex gap-1 items-center">
            <UInput
              v-model="t.name"
              class="flex-1"
              maxlength="30"
              :disabled="!settings.maySet"
              :aria-label="`Trail ${i + 1}`"
            />
            <UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-arrow-up"
              :disabled="i === 0 || !settings.maySet"
              :aria-label="`${t.name} stands for less support`"
              @click="swap(i)"
            />
            <UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-x"
              :disabled="trails.length <= FEWEST_TRAILS || !settings.maySet"
              :aria-label="`Take out ${t.name}`"
              @click="takeOut(i)"
            />
          </li>
        </ol>
        <UButton
          v-if="trails.length < MOST_TRAILS && settings.maySet"
          size="xs"
          color="neutral"
          variant="outline"
          class="w-fit"
          @click="add"
          >Another trail with more support</UButton
        >
        <div class="grid grid-cols-2 gap-x-3 gap-y-2">
          <UFormField v-for="n in NUMBERS" :key="n.field" :label="n.label">
            <UInput
              type="number"
              class="w-24"
              :model-value="thresholds[n.field]"
              :disabled="!settings.maySet"
              @update:model-value="set(n.field, Number($event))"
            />
          </UFormField>
        </div>
        <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
        <UButton v-if="settings.maySet" type="submit" class="w-fit" data-hook="keep-trails">Keep</UButton>
      </form>
      <p v-else class="said">Opening …</p>
    </template>
  </UModal>
</template>
