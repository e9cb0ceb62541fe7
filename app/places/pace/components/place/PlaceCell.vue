<script setup lang="ts">
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue'
import type { IsoDay, ResourceId } from '#core/base'
import type { PlacedStone } from '#core/placing'
import type { PlacingColumn } from '#shared/contracts/placing'
import { count } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'
import { holdStone } from '../../desk/holdPiece'
import type { InCell } from '../../desk/placedCells'

/** A day of a class or group, with the stones of what it has from then on. */
const props = defineProps<{
  list: readonly InCell[]
  column: PlacingColumn
  on: IsoDay
  meets: boolean
  isPast: boolean
  /** The one cell to which the Tab key goes. */
  stop: boolean
  hand: string | null
}>()
const emit = defineEmits<{
  enter: []
  arrow: [event: KeyboardEvent]
  lay: [pieceId: ResourceId, byKeys: boolean]
  putDown: []
  drop: [stone: PlacedStone, key: string]
  step: [stone: PlacedStone, by: 1 | -1]
  take: [stone: PlacedStone, key: string | null]
}>()
const cell = useTemplateRef<HTMLElement>('cell')
const isOver = ref(false)
let end: (() => void) | null = null
onMounted(() => {
  if (!cell.value) return
  end = dropTargetForElements({
    element: cell.value,
    canDrop: ({ source: { data } }) => 'pieceId' in data || 'stone' in data,
    onDragEnter: () => {
      isOver.value = true
    },
    onDragLeave: () => {
      isOver.value = false
    },
    onDrop: ({ source: { data } }) => {
      isOver.value = false
      if (typeof data.pieceId === 'string') emit('lay', data.pieceId as ResourceId, false)
      else emit('drop', data.stone as PlacedStone, data.key as string)
    },
  })
})
onBeforeUnmount(() => end?.())
/** Says what laying here would mean before it is done. */
const named = computed(() =>
  [
    sayDay(props.on),
    props.column.name,
    ...(props.isPast ? ['past'] : []),
    ...(props.meets ? [] : ['does not meet']),
    ...(props.list.length ? [count(props.list.length, 'piece')] : []),
  ].join(', '),
)
function layHand(byKeys: boolean): void {
  if (props.hand) emit('lay', props.hand as ResourceId, byKeys)
}
function keys(event: KeyboardEvent): void {
  if (event.target !== cell.value) return
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    layHand(true)
  } else if (event.key === 'Escape') emit('putDown')
  else emit('arrow', event)
}
function stoneKeys(event: KeyboardEvent, { stone, at }: InCell): void {
  if (!at.isByDays) return
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] as 1 | -1 | undefined
  if (by && event.altKey) {
    event.preventDefault()
    emit('step', stone, by)
  } else if (event.key === 'Delete') {
    event.preventDefault()
    emit('take', stone, event.shiftKey ? null : at.key)
  }
}
const menuOf = ({ stone, at }: InCell) => [
  [
    { label: 'A school day earlier', kbds: ['alt', '↑'], onSelect: () => emit('step', stone, -1) },
    { label: 'A school day later', kbds: ['alt', '↓'], onSelect: () => emit('step', stone, 1) },
  ],
  [
    {
      label: `Take out of ${props.column.name}`,
      kbds: ['delete'],
      onSelect: () => emit('take', stone, at.key),
    },
    { label: 'Take out everywhere', kbds: ['shift', 'delete'], onSelect: () => emit('take', stone, null) },
  ],
]
const until = ({ at }: InCell) => (at.throughOn === null ? 'no end' : `to ${sayDay(at.throughOn)}`)
</script>

<template>
  <td
    ref="cell"
    role="gridcell"
    data-cell
    :tabindex="stop ? 0 : -1"
    :class="{ meets, past: isPast, over: isOver, aim: hand !== null }"
    :data-on="on"
    :data-column="column.key"
    @focus="emit('enter')"
    @keydown="keys"
    @click.self="layHand(false)"
  >
    <span class="sr-only">{{ named }}</span>
    <div
      v-for="c in list"
      :key="`${c.stone.assignmentId} ${c.at.whose}`"
      :ref="(el) => holdStone(el as HTMLElement | null, c)"
      class="stone"
      :class="{ held: c.stone.state === 'held', hung: !c.at.isByDays, own: c.at.isOwn }"
      @keydown="stoneKeys($event, c)"
    >
      <NuxtLink
        class="face"
        draggable="false"
        :to="`/work/${c.stone.assignmentId}`"
        :tabindex="stop ? 0 : -1"
        :data-stone="c.at.whose ? undefined : `${c.stone.assignmentId} ${c.at.key}`"
        @focus="emit('enter')"
      >
        <span class="title">{{ c.stone.title }}</span>
        <span class="sr-only">{{ column.name }}, from {{ sayDay(on) }}</span>
        <span class="said"
          >{{ c.stone.minutes }} min · {{ until(c)
          }}<template v-if="c.stone.state === 'held'"> · held</template
          ><template v-if="c.at.isOwn"> · alone</template
          ><template v-if="c.at.whose"> · only {{ c.at.whose }}</template
          ><template v-else-if="!c.at.isByDays"> · by lesson</template></span
        >
      </NuxtLink>
      <UDropdownMenu v-if="c.at.isByDays" :items="menuOf(c)"
        ><UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-ellipsis"
          :tabindex="stop ? 0 : -1"
          :aria-label="`More for ${c.stone.title}, ${column.name}`"
          @focus="emit('enter')"
      /></UDropdownMenu>
    </div>
  </td>
</template>

<style scoped>
td {
  padding: 0.2rem;
  vertical-align: top;
  border-bottom: 1px solid var(--ui-border);
  border-left: 1px solid var(--ui-border);
  height: 2.4rem;
}
td:not(.meets) {
  background: color-mix(in oklab, var(--ui-bg-muted) 70%, transparent);
}
td.past {
  color: var(--ui-text-muted);
}
td.aim {
  cursor: copy;
}
td.over {
  outline: 2px solid var(--ui-primary);
  outline-offset: -2px;
}
.stone {
  display: flex;
  align-items: start;
  border: 1px solid var(--stone-line);
  border-radius: 7px 8px 6px 8px;
  background: var(--stone-face);
  cursor: grab;
}
.stone + .stone {
  margin-top: 0.2rem;
}
.stone.held {
  border-style: dashed;
}
.stone.hung {
  border-color: transparent;
  background: transparent;
  cursor: default;
}
.stone.own {
  border-left-width: 4px;
}
.face {
  flex: 1;
  min-width: 0;
  display: grid;
  padding: 0.2rem 0.4rem;
  min-height: 1.6rem;
}
.title {
  overflow-wrap: anywhere;
}
@media (forced-colors: active) {
  .stone.hung {
    border: 0;
  }
}
</style>
