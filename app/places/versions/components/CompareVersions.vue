<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Resource } from '#core/library'
import { compareVersions, itemsAsked } from '#core/versions'
import type { Layer, LayerPart } from '#core/versions'
import { sayLanguage } from '~/shared/words/languages'
import { toInlineHtml } from '~/shared/words/markdown'
import { toMarkedHtml } from '~/shared/words/markedText'
import { count } from '~/shared/words/numbers'
import { ORGANISER_WORDS, PART_WORDS } from '../words/parts'

/** Versions as columns, block by block on the core; where they differ is lit at the margin. */
const props = defineProps<{
  core: Resource
  versions: readonly { readonly id: string; readonly name: string; readonly layer: Layer }[]
}>()
const onlyDiffering = ref(false)
const blocks = computed(() =>
  compareVersions(
    props.core,
    props.versions.map((v) => v.layer),
  ),
)
const parts = computed(() => blocks.value.filter((b) => b.kind === 'part'))
const rest = computed(() => blocks.value.filter((b) => b.kind !== 'part'))
const shown = computed(() => [...parts.value, ...rest.value].filter((b) => b.differs || !onlyDiffering.value))

/** What a version has of a part, in short. */
function inShort(part: LayerPart, layer: Layer): string {
  switch (part) {
    case 'wordBank':
    case 'starters':
    case 'steps':
      return layer[part].join(' · ')
    case 'glossary':
      return layer.glossary.map((g) => g.word).join(', ')
    case 'frames':
      return layer.frames.map((f) => f.text.replace(/\[\d+\]/g, '___')).join(' · ')
    case 'marks':
      return layer.legend.map((l) => l.name).join(', ')
    case 'organisers':
      return layer.organisers.map((o) => ORGANISER_WORDS[o.kind]).join(', ')
    case 'hints':
      return count(layer.hints.length, 'hint')
    case 'items':
      return `${itemsAsked(props.core, layer)} of ${count(props.core.items.length, 'question')}`
    case 'example':
      return layer.example.slice(0, 80)
    case 'translation':
      return layer.translation ? sayLanguage(layer.translation.language) : ''
    case 'readAloud':
    case 'largerType':
      return 'yes'
  }
}
/** What a row of the comparison is about. */
function nameOf(block: (typeof shown.value)[number]): string {
  if (block.kind === 'part') return PART_WORDS[block.part].name
  return block.kind === 'text' ? 'Text' : `Question ${block.number}`
}
</script>

<template>
  <div class="grid gap-2">
    <UCheckbox v-model="onlyDiffering" label="Only where they differ" data-hook="only-differing" />
    <div class="wide" tabindex="0" role="region" aria-label="Versions beside each other">
      <table data-hook="compared">
        <thead>
          <tr>
            <td class="lit" />
            <th v-for="v in versions" :key="v.id" scope="col">{{ v.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(block, i) in shown" :key="i" :class="{ differs: block.differs }">
            <th scope="row" class="lit">
              <span class="sr-only">{{ nameOf(block) }}{{ block.differs ? ', differs' : '' }}</span>
            </th>
            <template v-if="block.kind === 'part'">
              <td v-for="(has, n) in block.versions" :key="n">
                <template v-if="has && versions[n]"
                  ><strong>{{ PART_WORDS[block.part].name }}</strong
                  ><br />{{ inShort(block.part, versions[n].layer) }}</template
                ><span v-else class="said">–</span>
              </td>
            </template>
            <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
            <template v-else-if="block.kind === 'text'">
              <td v-if="!block.differs" :colspan="versions.length">
                <div class="prose" v-html="toMarkedHtml(block.markdown, null)" />
              </td>
              <template v-else>
                <td v-for="(v, n) in block.versions" :key="n">
                  <div
                    class="prose"
                    v-html="
                      toMarkedHtml(block.markdown, {
                        marks: v.marks,
                        legend: versions[n]?.layer.legend ?? [],
                      })
                    "
                  />
                </td>
              </template>
            </template>
            <template v-else>
              <td v-if="!block.differs" :colspan="versions.length">
                <p v-html="`${block.number}. ${toInlineHtml(core.items[block.number - 1]?.stem ?? '')}`" />
              </td>
              <template v-else>
                <td v-for="(v, n) in block.versions" :key="n">
                  <p
                    v-if="v.isAsked"
                    v-html="`${block.number}. ${toInlineHtml(core.items[block.number - 1]?.stem ?? '')}`"
                  />
                  <span v-else class="said">not asked</span>
                  <p v-if="v.isAsked && v.hint" class="said">Hint: {{ v.hint }}</p>
                </td>
              </template>
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  width: 100%;
  min-width: 42rem;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 0.5rem 0.8rem;
  border-bottom: 1px solid var(--ui-border);
}
.lit {
  width: 0.5rem;
  padding: 0;
}
tr.differs .lit {
  background: var(--color-gorse-400);
}
</style>
