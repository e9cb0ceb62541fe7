<script setup lang="ts">
import { computed, ref } from 'vue'
import { MANY_AT_ONCE } from '#core/library'
import { count } from '~/shared/words/numbers'
import { useTray } from '../stores/tray'
import TrayAside from './TrayAside.vue'
import TrayCodes from './TrayCodes.vue'
import TrayList from './TrayList.vue'

/** What was picked across searches, counted, and where it can go: a shallow drawer that opens upwards. */
const props = defineProps<{ lesson: string | null; classId: string | null }>()
const tray = useTray()
const isOpen = ref(false)
const n = computed(() => tray.cards.length)
const to = computed(() => ({
  path: '/work/new',
  query: {
    piece: tray.cards.map((c) => c.id).join(','),
    tray: '1',
    ...(props.lesson ? { lesson: props.lesson } : {}),
    ...(props.classId ? { class: props.classId } : {}),
  },
}))
</script>

<template>
  <section class="tray" aria-label="Tray" data-hook="ticked-bar">
    <div class="line">
      <UButton
        size="sm"
        color="neutral"
        variant="ghost"
        :icon="isOpen ? 'i-lucide-chevron-down' : 'i-lucide-chevron-up'"
        :aria-expanded="isOpen"
        data-hook="open-tray"
        @click="
          () => {
            isOpen = !isOpen
          }
        "
        >Tray</UButton
      >
      <p role="status">
        <template v-if="n"
          ><b>{{ count(n, 'piece') }}, {{ tray.sums.all.minutes }} min</b
          ><template v-if="tray.tray.limit">
            of {{ tray.tray.limit
            }}<b v-if="tray.sums.over" class="over">, {{ tray.sums.over }} too many</b></template
          ></template
        ><span v-else class="said">empty: tick pieces, or type their codes</span>
      </p>
      <div class="flex-1" />
      <TrayCodes v-if="isOpen" />
      <TrayAside />
      <template v-if="n">
        <UButton size="sm" color="neutral" variant="outline" to="/pace?tray=1" data-hook="tray-to-desk"
          >Place on the desk</UButton
        >
        <UButton size="sm" color="neutral" variant="outline" to="/pace/place" data-hook="tray-to-days"
          >Place on days</UButton
        >
        <UButton size="sm" :to="to" data-hook="assign-ticked"
          >Assign {{ n === 1 ? 'it' : n }} from the tray</UButton
        >
        <UButton
          size="sm"
          color="neutral"
          variant="ghost"
          data-hook="tick-none"
          @click="tray.take(tray.tray.pieces)"
          >Empty it</UButton
        >
      </template>
    </div>
    <p v-if="n > MANY_AT_ONCE" class="note-line care" data-hook="many">
      As they are, each learner gets {{ count(n, 'separate piece') }} at once. Assign asks which you mean now,
      and can give them one after another: each opens when the one before is done.
    </p>
    <TrayList v-if="isOpen && n" />
  </section>
</template>

<style scoped>
.tray {
  display: grid;
  gap: 0.4rem;
  padding: 0.45rem 1rem;
  border-top: 2px solid var(--ui-primary);
  background: var(--ui-bg-muted);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
}
.over {
  color: var(--ui-warning);
}
</style>
