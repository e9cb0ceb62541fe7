<script setup lang="ts">
import { computed } from 'vue'
import type { Instant, PieceId } from '#core/base'
import type { Preview } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

const props = defineProps<{
  preview: Preview
  now: Instant
  begun: number
  /** Titles of the pieces, by name. */
  pieces: readonly { readonly id: PieceId; readonly title: string }[]
  lesson: (id: string) => string
  zone: string
}>()
type Line = { readonly tone: 'needs' | 'care' | 'fine'; readonly text: string }
const lines = computed<Line[]>(() => {
  const { preview, now } = props
  const naming = { lesson: props.lesson, zone: props.zone }
  const ofClasses = preview.classes.flatMap((c) =>
    c.problem
      ? [{ key: JSON.stringify(c.problem), text: `${c.name}: ${sayRefusal(c.problem, naming)}` }]
      : [],
  )
  const others = preview.problems
    .filter((p) => !ofClasses.some((c) => c.key === JSON.stringify(p)))
    .map((p) => sayRefusal(p, naming))
  const needs = [...new Set([...ofClasses.map((c) => c.text), ...others])].map((text): Line => ({
    tone: 'needs',
    text,
  }))
  const care: Line[] = []
  for (const c of preview.classes) {
    if (c.span?.tight)
      care.push({
        tone: 'care',
        text:
          `${c.name}: only ${count(c.span.meetings, 'meeting')} between opening and ` +
          'due. Who is away once may miss it.',
      })
    if (c.window?.due && c.window.due <= now)
      care.push({ tone: 'care', text: `${c.name}: it is due in the past, so every hand-in there is late.` })
    else if (c.window?.opens && c.window.opens <= now)
      care.push({ tone: 'care', text: `${c.name}: it opens as soon as it is published.` })
  }
  for (const c of preview.classes)
    for (const { pieceId, window } of c.pieces)
      if (window?.due && window.due <= now) {
        const title = props.pieces.find((p) => p.id === pieceId)?.title ?? 'a piece'
        care.push({ tone: 'care', text: `${c.name}: “${title}” is due in the past.` })
      }
  if (props.begun > 0)
    care.push({
      tone: 'care',
      text: `${count(props.begun, 'learner')} have begun. Their windows only grow; nobody loses time.`,
    })
  return needs.length + care.length > 0
    ? [...needs, ...care]
    : preview.learners > 0
      ? [{ tone: 'fine', text: 'Every window stands, in every class.' }]
      : []
})
</script>

<template>
  <section v-if="lines.length" aria-labelledby="last-look" data-hook="last-look">
    <h2 id="last-look" class="mb-1.5">Last look</h2>
    <div role="status">
      <ul class="grid gap-1">
        <li v-for="l in lines" :key="l.text" class="note-line" :class="l.tone">{{ l.text }}</li>
      </ul>
    </div>
  </section>
</template>
