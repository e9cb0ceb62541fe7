<script setup lang="ts">
import { computed } from 'vue'
import type { PieceId } from '#core/base'
import type { Preview } from '#shared/contracts/work'
import type { DraftInWork } from '../draft'
import { mendOf } from '../mends'
import type { Mend, MendContext } from '../mends'
import { sayCaution } from '../words/cautions'
import type { CautionNames } from '../words/cautions'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { zoneNamed } from '~/shared/words/times'

const props = defineProps<{
  preview: Preview
  begun: number
  /** Titles of the pieces, by name. */
  pieces: readonly { readonly id: PieceId; readonly title: string }[]
  lesson: (id: string) => string
  zone: string
}>()
const draft = defineModel<DraftInWork>({ required: true })
const names: CautionNames = {
  className: (id) => props.preview.classes.find((c) => c.classId === id)?.name ?? 'a class',
  piece: (id) => props.pieces.find((p) => p.id === id)?.title ?? 'a piece',
  lesson: (id) => props.lesson(id),
}
function apply({ apply: change }: Mend): void {
  draft.value = change(draft.value)
}
type Line = { readonly tone: 'needs' | 'care' | 'fine'; readonly text: string; readonly mend?: Mend | null }
const lines = computed<Line[]>(() => {
  const { preview } = props
  const naming = { lesson: props.lesson, zone: props.zone }
  const context: MendContext = {
    className: names.className,
    windowOf: (id) => preview.classes.find((c) => c.classId === id)?.window ?? null,
    zone: zoneNamed(props.zone),
  }
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
  const care = preview.cautions.map((caution): Line => ({
    tone: 'care',
    text: sayCaution(caution, names),
    mend: mendOf(caution, draft.value, context),
  }))
  if (props.begun > 0)
    care.push({
      tone: 'care',
      text: `${count(props.begun, 'learner has', 'learners have')} begun. Their windows only grow; nobody loses time.`,
    })
  return needs.length + care.length > 0
    ? [...needs, ...care]
    : preview.learners > 0
      ? [{ tone: 'fine', text: 'All dates fit, in every class.' }]
      : []
})
</script>

<template>
  <section v-if="lines.length" aria-labelledby="last-look" data-hook="last-look">
    <h2 id="last-look" class="mb-1.5">Last look</h2>
    <div role="status">
      <ul class="grid gap-1">
        <li v-for="l in lines" :key="l.text" class="note-line" :class="l.tone">
          {{ l.text }}
          <UButton
            v-if="l.mend"
            class="px-1"
            size="xs"
            variant="link"
            data-hook="mend"
            @click="apply(l.mend)"
            >{{ l.mend.word }}</UButton
          >
        </li>
      </ul>
    </div>
  </section>
</template>
