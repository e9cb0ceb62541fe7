<script setup lang="ts">
import { ref, watch } from 'vue'
import { sayPiece } from '~/shared/words/pieces'
import { count } from '~/shared/words/numbers'
import { useTray } from '../stores/tray'

/** The pieces of the tray in their order, minutes and count by topic, and a limit. */
const tray = useTray()
const limit = ref(tray.tray.limit === null ? '' : String(tray.tray.limit))
watch(limit, (text) => {
  const minutes = Number(text)
  if (text === '') tray.limitTo(null)
  else if (Number.isInteger(minutes) && minutes > 0 && minutes <= 5000) tray.limitTo(minutes)
})
</script>

<template>
  <div class="inside">
    <ol>
      <li v-for="(p, i) in tray.cards" :key="p.id">
        <span class="flex-1"
          >{{ p.title }} <span class="said">{{ sayPiece(p) }}</span></span
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-arrow-up"
          :disabled="i === 0"
          :aria-label="`Earlier: ${p.title}`"
          @click="tray.move(p.id, -1)"
        />
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-arrow-down"
          :disabled="i === tray.cards.length - 1"
          :aria-label="`Later: ${p.title}`"
          @click="tray.move(p.id, 1)"
        />
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Take out: ${p.title}`"
          @click="tray.take([p.id])"
        />
      </li>
    </ol>
    <aside>
      <dl>
        <template v-for="t in tray.sums.topics" :key="t.topic">
          <dt>{{ t.topic }}</dt>
          <dd>{{ count(t.count, 'piece') }}, {{ t.minutes }} min</dd>
        </template>
      </dl>
      <UFormField label="At most, in minutes" class="w-40"
        ><UInput v-model="limit" type="number" min="1" max="5000" name="tray-limit" placeholder="no limit"
      /></UFormField>
    </aside>
  </div>
</template>

<style scoped>
.inside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 18rem;
  gap: 1.5rem;
  max-height: 38vh;
  overflow: auto;
}
li {
  display: flex;
  gap: 0.2rem;
  align-items: center;
  border-bottom: 1px solid var(--ui-border);
  font-size: var(--text-sm);
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.1rem 0.8rem;
  font-size: 0.84rem;
  margin-bottom: 0.6rem;
}
dd {
  font-variant-numeric: tabular-nums;
}
@media (max-width: 700px) {
  .inside {
    grid-template-columns: 1fr;
  }
}
</style>
