<script setup lang="ts">
import { computed } from 'vue'
import { useTray } from '~/places/shelf'
import { holdPiece } from '../desk/holdPiece'
import { useAddress } from '~/shared/frame/address'
import { count } from '~/shared/words/numbers'

/** The tray under the desk, for who comes to place it: each piece is dragged onto a lesson. */
const address = useAddress()
const tray = useTray()
const isAsked = computed(() => address.text('tray') === '1')
if (isAsked.value) void tray.load()
function close(): void {
  void address.put({ tray: null })
}
</script>

<template>
  <section v-if="isAsked && tray.cards.length" class="desk-tray" aria-label="Tray" data-hook="desk-tray">
    <p class="said">
      Drag a piece onto a lesson of any class. By keys: go to the lesson, then to its details, where the tray
      stands, too.
    </p>
    <ul>
      <li
        v-for="p in tray.cards"
        :key="p.id"
        :ref="(el) => holdPiece(el as HTMLElement | null, p.id)"
        :title="count(p.minutes, 'minute')"
      >
        {{ p.title }}
      </li>
    </ul>
    <UButton color="neutral" variant="ghost" icon="i-lucide-x" aria-label="Close the tray" @click="close" />
  </section>
</template>

<style scoped>
.desk-tray {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.4rem 1rem;
  border-top: 2px solid var(--ui-primary);
  background: var(--ui-bg-muted);
}
.desk-tray p {
  max-width: 22rem;
}
ul {
  flex: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  max-height: 6rem;
  overflow: auto;
}
li {
  padding: 0.25rem 0.6rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 7px 8px 6px 8px;
  background: var(--stone-face);
  cursor: grab;
  font-size: 0.84rem;
}
</style>
