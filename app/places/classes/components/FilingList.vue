<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue'
import type { NameInUse } from '#shared/contracts/filing'
import { foldedName } from '#core/filing'
import { count } from '~/shared/words/numbers'
import { movedRow } from '../filingDraft'
import type { FilingRow } from '../filingDraft'

/** Names in an order of one's own, with how much work is under each; categories have a weight, too. */
const props = defineProps<{
  title: string
  about: string
  add: string
  used: readonly NameInUse[]
  weighted?: boolean
  disabled: boolean
}>()
const rows = defineModel<readonly FilingRow[]>({ required: true })
const list = useTemplateRef<HTMLElement>('list')
const usedAs = (name: string) => props.used.find((u) => foldedName(u.name) === foldedName(name))?.count ?? 0
/** Names that work is under and that are not in the list. */
const unlisted = () =>
  props.used.filter((u) => !rows.value.some((r) => foldedName(r.was ?? r.name) === foldedName(u.name)))
function patch(key: string, part: Partial<FilingRow>): void {
  rows.value = rows.value.map((r) => (r.key === key ? { ...r, ...part } : r))
}
async function put(name: string): Promise<void> {
  const key = `new ${rows.value.length} ${name}`
  rows.value = [...rows.value, { key, name, was: name || null, weight: 0, most: null }]
  await nextTick()
  if (name === '') list.value?.querySelector<HTMLElement>('li:last-child input')?.focus()
}
function move(key: string, by: 1 | -1): void {
  rows.value = movedRow(rows.value, key, by)
}
function takeOff(key: string): void {
  rows.value = rows.value.filter((r) => r.key !== key)
}
const numberIn = (event: Event) => Number((event.target as HTMLInputElement).value)
/** Nothing written means no ceiling. */
function ceilingIn(event: Event): number | null {
  return (event.target as HTMLInputElement).value.trim() === '' ? null : numberIn(event)
}
</script>

<template>
  <section class="grid gap-2 content-start" :aria-label="title">
    <h2>{{ title }}</h2>
    <p class="said">{{ about }}</p>
    <p v-if="weighted && rows.length" class="row said" aria-hidden="true">
      <span class="flex-1">Name</span><span class="w-20">Weight</span><span class="w-20">At once</span
      ><span class="used" /><span v-if="!disabled" class="acts" />
    </p>
    <ol ref="list" class="grid gap-1">
      <li v-for="(r, i) in rows" :key="r.key" class="row">
        <UInput
          size="sm"
          class="flex-1"
          :model-value="r.name"
          maxlength="60"
          :disabled="disabled"
          :aria-label="`${title}, row ${i + 1}`"
          @update:model-value="patch(r.key, { name: String($event) })"
        />
        <UInput
          v-if="weighted"
          size="sm"
          type="number"
          class="w-20"
          min="0"
          :model-value="r.weight"
          :disabled="disabled"
          :aria-label="`Weight of ${r.name || `row ${i + 1}`}`"
          @change="patch(r.key, { weight: numberIn($event) })"
        />
        <UInput
          v-if="weighted"
          size="sm"
          type="number"
          class="w-20"
          min="1"
          placeholder="any"
          :model-value="r.most ?? undefined"
          :disabled="disabled"
          :aria-label="`At most open at once of ${r.name || `row ${i + 1}`}`"
          @change="patch(r.key, { most: ceilingIn($event) })"
        />
        <span class="said used">{{
          usedAs(r.was ?? r.name) ? count(usedAs(r.was ?? r.name), 'piece') : 'unused'
        }}</span>
        <template v-if="!disabled">
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            icon="i-lucide-arrow-up"
            :disabled="i === 0"
            :aria-label="`${r.name} up`"
            @click="move(r.key, -1)"
          />
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            icon="i-lucide-arrow-down"
            :disabled="i === rows.length - 1"
            :aria-label="`${r.name} down`"
            @click="move(r.key, 1)"
          />
          <UButton
            size="xs"
            color="neutral"
            variant="ghost"
            icon="i-lucide-x"
            :aria-label="`Take ${r.name} off the list`"
            @click="takeOff(r.key)"
          />
        </template>
      </li>
    </ol>
    <div v-if="!disabled" class="flex flex-wrap gap-1">
      <UButton size="xs" variant="outline" icon="i-lucide-plus" @click="put('')">{{ add }}</UButton>
      <UButton
        v-for="u in unlisted()"
        :key="u.name"
        size="xs"
        color="neutral"
        variant="outline"
        :aria-label="`Add ${u.name} to the list`"
        @click="put(u.name)"
        >{{ u.name }}, {{ u.count }}</UButton
      >
    </div>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 0.35rem;
  align-items: center;
}
.used {
  min-width: 4.5rem;
}
.acts {
  width: 5.7rem;
}
</style>
