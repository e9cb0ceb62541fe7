<script setup lang="ts">
import { computed } from 'vue'
import type { ResourceId } from '#core/base'
import type { FollowUpPiece } from '#core/followUp'
import { count } from '~/shared/words/numbers'
import type { Row, RowGroup } from '../../composables/proposing'
import { sayChoice, sayCode, sayReason } from '../../followUpWords'

/** Everybody who is proposed something for one thing that was missed: a row each, and a head that changes all. */
const props = defineProps<{
  group: RowGroup
  /** What the standard says. */
  text: string
  pieceOf: ReadonlyMap<ResourceId, FollowUpPiece>
  recordOf: (row: Row) => string
}>()
const emit = defineEmits<{
  accept: [keys: readonly string[], isGiven: boolean]
  choose: [keys: readonly string[], pieceId: ResourceId]
}>()
const given = computed(() => props.group.rows.filter((r) => r.isGiven))
const all = computed(() => {
  if (given.value.length === 0) return false
  return given.value.length === props.group.rows.length ? true : ('indeterminate' as const)
})
const keys = computed(() => props.group.rows.map((r) => r.key))
const itemsOf = (ids: readonly ResourceId[]) =>
  ids.flatMap((value) => {
    const piece = props.pieceOf.get(value)
    return piece ? [{ value, label: sayChoice(piece) }] : []
  })
/** What would do for everybody here; one who has it already is left as they are. */
const forAll = computed(() => itemsOf([...new Set(props.group.rows.flatMap((r) => r.choices))]))
/** The piece that everybody here has, if it is one. */
const common = computed(() => {
  const [first, ...others] = new Set(props.group.rows.map((r) => r.pieceId))
  return others.length === 0 ? first : undefined
})
const name = computed(() => sayCode(props.group.code))
function chooseForAll(pieceId: ResourceId): void {
  const able = props.group.rows.filter((r) => r.choices.includes(pieceId)).map((r) => r.key)
  emit('choose', able, pieceId)
}
</script>

<template>
  <tbody :data-hook="`missed-${group.code}`">
    <tr class="head">
      <td>
        <UCheckbox
          :model-value="all"
          :aria-label="`Give all of ${name}`"
          @update:model-value="emit('accept', keys, all !== true)"
        />
      </td>
      <th scope="rowgroup" colspan="2">
        {{ group.isFurther ? `To go further from ${name}` : name }}
        <span class="said font-normal">{{ count(group.rows.length, 'learner') }}</span>
        <span v-if="text" class="said block font-normal">{{ text }}</span>
      </th>
      <td colspan="2">
        <USelect
          v-if="group.rows.length > 1"
          class="w-full"
          size="sm"
          :items="forAll"
          :model-value="common"
          placeholder="Different pieces: one for all"
          :aria-label="`The piece for all of ${name}`"
          @update:model-value="chooseForAll"
        />
      </td>
    </tr>
    <tr v-for="row in group.rows" :key="row.key" :class="{ declined: !row.isGiven }" data-hook="proposal">
      <td>
        <UCheckbox
          data-row
          :model-value="row.isGiven"
          :aria-label="`Give ${row.learner.name} something on ${name}`"
          @update:model-value="emit('accept', [row.key], $event === true)"
        />
      </td>
      <th scope="row">
        <NuxtLink class="plain" :to="recordOf(row)">{{ row.learner.name }}</NuxtLink>
      </th>
      <td class="why">{{ sayReason(row, row.learner) }}</td>
      <td>
        <USelect
          v-if="row.choices.length > 1"
          class="w-full"
          size="sm"
          :items="itemsOf(row.choices)"
          :model-value="row.pieceId"
          :disabled="!row.isGiven"
          :aria-label="`The piece for ${row.learner.name} on ${name}`"
          @update:model-value="emit('choose', [row.key], $event)"
        />
        <span v-else class="only">{{
          row.choices[0] && pieceOf.has(row.choices[0]) ? sayChoice(pieceOf.get(row.choices[0])!) : ''
        }}</span>
      </td>
      <td class="carries">{{ row.learner.minutesDue ? `${row.learner.minutesDue} min` : '–' }}</td>
    </tr>
  </tbody>
</template>

<style scoped>
.head > * {
  padding-top: 1rem;
}
.head th {
  font-weight: 650;
}
tr:not(.head) > :first-child {
  padding-left: 1.1rem;
}
th {
  text-align: left;
  vertical-align: top;
}
tr:not(.head) th {
  font-weight: 500;
  white-space: nowrap;
}
.why,
.only {
  font-size: 0.86rem;
}
.carries {
  text-align: right;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.declined :is(th, .why, .carries) {
  color: var(--ui-text-muted);
  text-decoration: line-through;
}
</style>
