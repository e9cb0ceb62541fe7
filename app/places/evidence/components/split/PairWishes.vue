<script setup lang="ts">
import { computed, ref } from 'vue'
import type { UserId } from '#core/base'
import type { Wishes } from '#core/grouping'

/** Whom groups may not part, and whom they have to: two learners a wish. */
const props = defineProps<{
  learners: readonly { readonly id: UserId; readonly name: string }[]
  wishes: Wishes
}>()
const emit = defineEmits<{
  wish: [kind: keyof Wishes, pair: readonly [UserId, UserId]]
  unwish: [kind: keyof Wishes, at: number]
}>()
const first = ref<UserId | undefined>()
const second = ref<UserId | undefined>()
const items = computed(() => props.learners.map((l) => ({ value: l.id, label: l.name })))
const nameOf = (id: UserId | undefined) => props.learners.find((l) => l.id === id)?.name ?? ''
const isPair = computed(() => Boolean(first.value && second.value && first.value !== second.value))
const said = computed(() =>
  (['together', 'apart'] as const).flatMap((kind) =>
    props.wishes[kind].map((ids, at) => ({ kind, at, words: `${ids.map(nameOf).join(' and ')} ${kind}` })),
  ),
)
function add(kind: keyof Wishes): void {
  if (!first.value || !second.value) return
  emit('wish', kind, [first.value, second.value])
  second.value = undefined
}
</script>

<template>
  <section class="wishes" aria-label="Together and apart">
    <USelectMenu
      v-model="first"
      value-key="value"
      class="w-48"
      :items="items"
      placeholder="Somebody"
      :aria-label="`First learner: ${nameOf(first) || 'Somebody'}`"
      data-hook="wish-first"
    />
    <span class="said">and</span>
    <USelectMenu
      v-model="second"
      value-key="value"
      class="w-48"
      :items="items"
      placeholder="somebody else"
      :aria-label="`Second learner: ${nameOf(second) || 'somebody else'}`"
      data-hook="wish-second"
    />
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      :disabled="!isPair"
      data-hook="wish-apart"
      @click="add('apart')"
      >Keep apart</UButton
    >
    <UButton
      size="xs"
      color="neutral"
      variant="outline"
      :disabled="!isPair"
      data-hook="wish-together"
      @click="add('together')"
      >Keep together</UButton
    >
    <ul v-if="said.length" class="list">
      <li v-for="w in said" :key="`${w.kind} ${w.at}`">
        {{ w.words }}
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Forget: ${w.words}`"
          @click="emit('unwish', w.kind, w.at)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.wishes {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
.list {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.8rem;
  width: 100%;
  font-size: 0.9rem;
}
.list li {
  display: inline-flex;
  align-items: center;
}
</style>
