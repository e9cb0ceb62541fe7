<script setup lang="ts">
import { computed } from 'vue'
import { HELPS } from '#core/attempts'
import type { AttemptRules, Help } from '#core/attempts'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { HELP_WORDS } from '~/shared/words/rules'
import type { OwnLimits } from '../draft'
import { kinderThan } from '../ownLimits'
import type { LimitField } from '../ownLimits'
import { sayLimits } from '../words/rulesInWords'

/** Tries, time and rules that a class, group or learner has in place of what everybody has. */
const props = defineProps<{
  who: string
  own: OwnLimits
  /** What holds for everybody. */
  rules: AttemptRules
}>()
const emit = defineEmits<{ set: [own: OwnLimits] }>()
interface NumberField {
  readonly label: string
  /** What stands for no limit at all, and how that is said. */
  readonly none: 0 | null
  readonly noneWord: string
  readonly unit: string
  readonly most: number
}
const NUMBERS: Record<LimitField, NumberField> = {
  maxAttempts: {
    label: 'Tries',
    none: null,
    noneWord: 'as many as they like',
    unit: 'tries',
    most: 50,
  },
  timeLimitMinutes: {
    label: 'Time for a try',
    none: null,
    noneWord: 'no limit',
    unit: 'minutes',
    most: 600,
  },
  waitMinutes: {
    label: 'Between tries',
    none: 0,
    noneWord: 'no wait',
    unit: 'minutes',
    most: 20_160,
  },
  passPercent: { label: 'Pass mark', none: null, noneWord: 'none', unit: 'percent', most: 100 },
}
const FIELDS = Object.keys(NUMBERS) as LimitField[]
type Way = 'as-ruled' | 'none' | 'number'

const said = computed(() => sayLimits(props.own))
const wayOf = (field: LimitField): Way => {
  const value = props.own[field]
  if (value === undefined) return 'as-ruled'
  return value === NUMBERS[field].none ? 'none' : 'number'
}
/** Sets one of them, or (undefined) takes it off; the others stay. */
function put<F extends keyof OwnLimits>(field: F, value: OwnLimits[F] | undefined): void {
  const { [field]: _, ...others } = props.own
  emit('set', (value === undefined ? others : { ...others, [field]: value }) as OwnLimits)
}
function choose(field: LimitField, way: Way | null): void {
  const { none } = NUMBERS[field]
  if (way === 'as-ruled') put(field, undefined)
  else put(field, way === 'none' ? none : kinderThan(props.rules, field))
}
function type(field: LimitField, value: unknown): void {
  const number = Math.trunc(Number(value))
  if (number >= 1 && number <= NUMBERS[field].most) put(field, number)
}
const items = (field: LimitField) =>
  [
    { value: 'as-ruled', label: 'by the rules' },
    { value: 'none', label: NUMBERS[field].noneWord },
    { value: 'number', label: 'a number', hook: `own-${field}` },
  ] as const
const HELP_WAYS = [
  { value: 'as-ruled', label: 'by the rules' },
  { value: 'own', label: 'their own', hook: 'own-help' },
] as const
function allow(help: Help, isAllowed: boolean): void {
  const had = props.own.help ?? []
  put(
    'help',
    HELPS.filter((h) => (h === help ? isAllowed : had.includes(h))),
  )
}
</script>

<template>
  <UPopover :content="{ align: 'end' }">
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      class="text-right whitespace-normal"
      :class="{ 'font-bold': said !== '' }"
      :aria-label="`${said || 'Tries, time, help'}: tries, time and help of ${who}`"
      data-hook="limits"
      >{{ said || 'Tries, time, help' }}</UButton
    >
    <template #content>
      <div class="editor grid gap-3 p-3 w-80 overflow-y-auto" data-hook="limits-editor">
        <div v-for="f in FIELDS" :key="f" class="grid gap-1.5">
          <h3>{{ NUMBERS[f].label }}</h3>
          <ChoiceButtons
            :label="`${NUMBERS[f].label} of ${who}`"
            :items="items(f)"
            :model-value="wayOf(f)"
            @update:model-value="choose(f, $event)"
          />
          <label v-if="wayOf(f) === 'number'" class="said flex items-center gap-1.5">
            <UInput
              size="xs"
              class="!w-20"
              type="number"
              min="1"
              :max="NUMBERS[f].most"
              :name="`limit-${f}`"
              :model-value="own[f] ?? undefined"
              @update:model-value="type(f, $event)"
            />{{ NUMBERS[f].unit }}</label
          >
        </div>
        <div class="grid gap-1.5">
          <h3>Help while working</h3>
          <ChoiceButtons
            :label="`Help of ${who}`"
            :items="HELP_WAYS"
            :model-value="own.help === undefined ? 'as-ruled' : 'own'"
            @update:model-value="put('help', $event === 'own' ? rules.help : undefined)"
          />
          <template v-if="own.help">
            <UCheckbox
              v-for="h in HELPS"
              :key="h"
              :label="HELP_WORDS[h]"
              :model-value="own.help.includes(h)"
              :data-hook="`own-help-${h}`"
              @update:model-value="allow(h, $event === true)"
            />
          </template>
        </div>
        <p class="said">Extra time and tries that a learner always has come on top.</p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.editor {
  max-height: min(34rem, var(--reka-popover-content-available-height));
}
</style>
