<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AssignmentId, PieceId } from '#core/base'
import type { Preview, Recipients } from '#shared/contracts/work'
import { LEVEL_WORDS } from '../words/moments'
import { count } from '~/shared/words/numbers'
import { sayMoment } from '~/shared/words/times'

const props = defineProps<{
  preview: Preview
  recipients: Recipients
  /** Titles of the pieces, in order; one alone is not named. */
  pieces: readonly { readonly id: PieceId; readonly title: string }[]
  zone: string
  /** Once learners have it: their names lead to what they see. */
  work: AssignmentId | null
}>()
const open = ref(false)
const FIELDS = ['opens', 'due', 'closes'] as const
const groupName = (id: string | null) => props.recipients.groups.find((g) => g.id === id)?.name
const rows = computed(() =>
  props.preview.who.map((w) => ({
    ...w,
    key: `${w.learnerId} ${w.pieceId}`,
    piece: props.pieces.length > 1 ? (props.pieces.find((p) => p.id === w.pieceId)?.title ?? '') : '',
    className: props.recipients.classes.find((c) => c.id === w.classId)?.name ?? '',
    why: [
      ...new Set(
        w.because
          .filter((b) => b.level !== 'assignment')
          .map(
            (b) =>
              `${b.field === 'maxAttempts' ? 'tries' : b.field === 'timeLimitMinutes' ? 'time' : b.field}: ` +
              `${b.level === 'group' ? (groupName(b.sourceId) ?? LEVEL_WORDS.group) : LEVEL_WORDS[b.level]}`,
          ),
      ),
    ],
  })),
)
</script>

<template>
  <section v-if="preview.who.length" data-hook="who-gets-what">
    <button
      type="button"
      class="flex items-center gap-1 font-semibold cursor-pointer"
      :aria-expanded="open"
      @click="open = !open"
    >
      <UIcon
        :name="open ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
        class="size-4"
        aria-hidden="true"
      />Who gets what: {{ count(preview.learners, 'learner') }}, one by one
    </button>
    <div v-if="open" class="max-h-96 overflow-auto mt-2">
      <table class="grid-table">
        <thead>
          <tr>
            <th scope="col">Learner</th>
            <th scope="col">Class</th>
            <th v-if="pieces.length > 1" scope="col">Piece</th>
            <th scope="col">Opens</th>
            <th scope="col">Due</th>
            <th scope="col">Closes</th>
            <th scope="col">Tries</th>
            <th scope="col">Time</th>
            <th scope="col">Why it differs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in rows" :key="w.key">
            <th scope="row" class="font-semibold">
              <NuxtLink v-if="work" class="plain" :to="`/lens?learner=${w.learnerId}&work=${work}`">{{
                w.name
              }}</NuxtLink>
              <template v-else>{{ w.name }}</template>
            </th>
            <td>{{ w.className }}</td>
            <td v-if="pieces.length > 1">{{ w.piece }}</td>
            <td v-for="f in FIELDS" :key="f">
              {{ w.terms[f] === null ? '' : sayMoment(w.terms[f]!, zone, f) }}
            </td>
            <td>{{ w.terms.maxAttempts ?? 'any' }}</td>
            <td>{{ w.terms.timeLimitMinutes === null ? '' : `${w.terms.timeLimitMinutes} min` }}</td>
            <td class="said">{{ w.why.join(', ') }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
