<script setup lang="ts">
import { computed } from 'vue'
import { cellsOf, tableRows } from '#core/versions'
import type { Organiser, OrganiserCell } from '#core/versions'
import { sayCell } from '~/shared/words/organisers'

/** A form to put one's thoughts in order; what is written in a cell is kept under its number. */
const props = defineProps<{
  organiser: Organiser
  words: Readonly<Record<string, string>>
  isFinal: boolean
  spelling: boolean
}>()
const emit = defineEmits<{ words: [words: Readonly<Record<string, string>>] }>()
const cells = computed(() => cellsOf(props.organiser))
const rows = computed(() => tableRows(props.organiser))
const numberOf = ({ id }: OrganiserCell) => String(cells.value.findIndex((c) => c.id === id) + 1)

function write(cell: OrganiserCell, event: Event): void {
  const text = (event.target as HTMLTextAreaElement).value
  const number = numberOf(cell)
  const { [number]: _, ...others } = props.words
  emit('words', text === '' ? others : { ...others, [number]: text })
}
</script>

<template>
  <div class="planner" :class="organiser.kind">
    <table v-if="organiser.kind === 'table'">
      <thead>
        <tr>
          <td />
          <th v-for="column in organiser.columns" :key="column" scope="col">{{ column }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="of in rows" :key="of.row">
          <th scope="row">{{ of.row }}</th>
          <td v-for="cell in of.cells" :key="cell.id">
            <span v-if="cell.given !== null">{{ cell.given }}</span>
            <textarea
              v-else
              rows="2"
              maxlength="200"
              :value="words[numberOf(cell)] ?? ''"
              :aria-label="sayCell(cell.of)"
              :disabled="isFinal"
              :spellcheck="spelling"
              @input="write(cell, $event)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <template v-else>
      <p v-if="organiser.kind === 'web'" class="centre">{{ organiser.centre }}</p>
      <ol>
        <li v-for="cell in cells" :key="cell.id" :class="cell.of.kind">
          <label
            ><span>{{ sayCell(cell.of) }}</span>
            <span v-if="cell.given !== null" class="given">{{ cell.given }}</span>
            <textarea
              v-else
              rows="2"
              maxlength="200"
              :value="words[numberOf(cell)] ?? ''"
              :disabled="isFinal"
              :spellcheck="spelling"
              @input="write(cell, $event)"
            />
          </label>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  border: 1px solid var(--ui-border-accented);
  padding: 0.3rem 0.5rem;
  text-align: left;
  vertical-align: top;
}
textarea {
  width: 100%;
  min-width: 8rem;
  padding: 0.35rem 0.5rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  background: var(--stone-face);
  color: var(--ui-text);
  resize: vertical;
}
ol {
  display: grid;
  gap: 0.6rem;
}
label {
  display: grid;
  gap: 0.15rem;
}
label > span:first-child {
  font-size: 0.83rem;
  font-weight: 600;
}
.given {
  padding: 0.35rem 0;
}
.centre {
  justify-self: center;
  width: fit-content;
  margin: 0 auto 0.7rem;
  padding: 0.4rem 1.4rem;
  border: 2px solid var(--ui-primary);
  border-radius: 2rem;
  font-weight: 650;
}
.web ol {
  grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
}
.time-line ol {
  border-left: 3px solid var(--ui-primary);
  padding-left: 1rem;
}
.claim .evidence {
  margin-left: 1.6rem;
}
.planner.table {
  overflow-x: auto;
}
</style>
