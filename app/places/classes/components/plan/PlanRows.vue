<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { LessonId } from '#core/base'
import type { Plan, PlanLesson } from '#core/pacing'
import { sayFixed } from '~/places/pace'

const props = defineProps<{ plan: Plan; selected: ReadonlySet<LessonId>; mayEdit: boolean }>()
const emit = defineEmits<{
  select: [ids: ReadonlySet<LessonId>]
  step: [by: 1 | -1]
  moveBeside: [id: LessonId, side: 'before' | 'behind']
  remove: []
  edit: []
}>()
const box = ref<HTMLElement | null>(null)
const last = ref<LessonId | null>(null)
const dragging = ref(false)
const onto = ref<{ readonly id: LessonId; readonly isBehind: boolean } | null>(null)
const units = computed(() => new Map(props.plan.units.map((u, i) => [u.id, { ...u, tint: (i % 8) + 1 }])))
const startsUnit = (i: number) => props.plan.lessons[i]?.unitId !== props.plan.lessons[i - 1]?.unitId
const length = ({ length: l }: PlanLesson) =>
  l.unit === 'minutes' ? `${l.min} – ${l.typical} – ${l.max} min` : `${l.min} – ${l.typical} – ${l.max}`

function pick(
  id: LessonId,
  event: { readonly shiftKey: boolean; readonly ctrlKey: boolean; readonly metaKey: boolean },
): void {
  const ids = props.plan.lessons.map((l) => l.id)
  if (event.shiftKey && last.value) {
    const [a, b] = [ids.indexOf(last.value), ids.indexOf(id)].sort((x, y) => x - y) as [number, number]
    return emit('select', new Set(ids.slice(a, b + 1)))
  }
  last.value = id
  if (!event.ctrlKey && !event.metaKey) return emit('select', new Set([id]))
  const next = new Set(props.selected)
  if (!next.delete(id)) next.add(id)
  emit('select', next)
}
async function keys(event: KeyboardEvent, i: number): Promise<void> {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  const isMove = event.altKey
  if (step !== undefined) {
    event.preventDefault()
    if (isMove) emit('step', step as 1 | -1)
    else {
      const next = props.plan.lessons[i + step]
      if (!next) return
      if (event.shiftKey) emit('select', new Set([...props.selected, next.id]))
      else pick(next.id, { shiftKey: false, ctrlKey: false, metaKey: false })
    }
    await nextTick()
    const focus = isMove ? props.plan.lessons[i]?.id : props.plan.lessons[i + step]?.id
    box.value
      ?.querySelector<HTMLElement>(`[data-id="${isMove ? ([...props.selected][0] ?? focus) : focus}"]`)
      ?.focus()
  } else if (event.key === 'Delete' && props.mayEdit) emit('remove')
  else if (event.key === 'Enter') emit('edit')
}
function drop(id: LessonId): void {
  if (dragging.value && !props.selected.has(id)) {
    emit('moveBeside', id, onto.value?.isBehind ? 'behind' : 'before')
  }
  dragging.value = false
  onto.value = null
}
/** In the lower half of a row what is dragged comes behind it. */
function over(id: LessonId, event: DragEvent): void {
  const row = event.currentTarget as HTMLElement
  const { top, height } = row.getBoundingClientRect()
  onto.value = { id, isBehind: event.clientY > top + height / 2 }
}
function start(id: LessonId): void {
  if (!props.selected.has(id)) emit('select', new Set([id]))
  dragging.value = true
}
</script>

<template>
  <div ref="box" class="rows" role="listbox" aria-multiselectable="true" aria-label="Lessons of the plan">
    <div v-for="(l, i) in plan.lessons" :key="l.id" class="group" role="presentation">
      <p
        v-if="startsUnit(i)"
        class="unit"
        role="presentation"
        :style="{ '--tint': `var(--unit-${units.get(l.unitId)?.tint ?? 1})` }"
      >
        {{ units.get(l.unitId)?.number }} {{ units.get(l.unitId)?.title }}
      </p>
      <div
        class="row"
        role="option"
        :aria-selected="selected.has(l.id)"
        :tabindex="selected.has(l.id) || (selected.size === 0 && i === 0) ? 0 : -1"
        :data-id="l.id"
        :data-hook="`row-${l.number}`"
        :class="{
          on: selected.has(l.id),
          onto: onto?.id === l.id && !onto.isBehind,
          behind: onto?.id === l.id && onto.isBehind,
        }"
        :draggable="mayEdit"
        @click="pick(l.id, $event)"
        @keydown="keys($event, i)"
        @dragstart="start(l.id)"
        @dragover.prevent="over(l.id, $event)"
        @drop.prevent="drop(l.id)"
        @dragend="
          () => {
            dragging = false
            onto = null
          }
        "
      >
        <span class="code">{{ l.number }}</span><span class="title">{{ l.title }}</span
        ><span class="kind">{{ l.kind === 'lesson' ? '' : l.kind === 'buffer' ? 'catch-up' : l.kind }}</span
        ><span class="weight" :class="l.weight">{{ l.weight }}</span
        ><span class="length">{{ length(l) }}</span
        ><span class="dated"
          >{{ l.fixed ? sayFixed(l.fixed) : ''
          }}{{ l.notAfterBreak ? `${l.fixed ? ', ' : ''}not after a break` : '' }}</span
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.rows {
  font-size: var(--text-xs);
}
.group {
  content-visibility: auto;
  contain-intrinsic-size: auto 1.75rem;
}
.unit {
  background: var(--tint);
  font-weight: 600;
  padding: 0.2rem 0.6rem;
  margin-top: 0.5rem;
  border-radius: 3px;
}
.row {
  display: grid;
  grid-template-columns: 4rem minmax(10rem, 1fr) 4.5rem 4.5rem 7rem minmax(8rem, 13rem);
  gap: 0.5rem;
  padding: 0.22rem 0.6rem;
  border-bottom: 1px solid var(--ui-border-muted);
  cursor: default;
  font-variant-numeric: tabular-nums;
}
.row.on {
  background: color-mix(in oklab, var(--ui-primary) 14%, transparent);
}
.row.onto {
  box-shadow: inset 0 2px 0 var(--ui-primary);
}
.row.behind {
  box-shadow: inset 0 -2px 0 var(--ui-primary);
}
.row:focus-visible {
  outline: 2px solid var(--ui-primary);
  outline-offset: -2px;
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.kind,
.dated {
  color: var(--ui-text-muted);
}
.weight.core {
  font-weight: 600;
}
.weight.optional {
  color: var(--ui-text-muted);
  font-style: italic;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: 3.5rem minmax(0, 1fr) 4.2rem 4.2rem 6.4rem;
  }
  .dated:empty {
    display: none;
  }
  .dated {
    grid-column: 2 / -1;
  }
}
/* on a phone what a lesson is stands beneath its title */
@media (max-width: 560px) {
  .row {
    grid-template-columns: 3.5rem repeat(2, auto) minmax(0, 1fr);
    gap: 0 0.6rem;
  }
  .title {
    grid-column: 2 / -1;
    white-space: normal;
  }
  .kind {
    grid-column: 2;
  }
  .kind:empty {
    display: none;
  }
  .kind:empty + .weight {
    grid-column: 2;
  }
  .dated {
    grid-column: 2 / -1;
  }
}
</style>
