<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { ClassId } from '#core/base'
import { PRICES, WAYS } from '#core/pacing'
import type { Way } from '#core/pacing'
import type { ClassRipple } from '#shared/contracts/pacing'
import { useDesk } from '../stores/desk'
import { useRipple } from '../stores/ripple'
import { sayRefusal } from '~/shared/words/refusals'
import { COST_OF_CUTS, WAY_WORDS } from '../words/ways'
import RippleDetail from './RippleDetail.vue'
import RippleRow from './RippleRow.vue'

const emit = defineEmits<{ apply: [] }>()
const desk = useDesk()
const ripple = useRipple()
const box = ref<HTMLElement | null>(null)
/** The class whose consequences are spelled out. */
const looked = ref<ClassId | null>(null)
// whoever works by keys stays on the stone; from a button or a dialog the focus comes here, once the change
// is on the screen
onMounted(() =>
  setTimeout(() => {
    if (!document.activeElement?.classList.contains('stretch')) box.value?.focus({ preventScroll: true })
  }, 50),
)

const shownRipple = computed(
  () =>
    ripple.classes.find((c) => c.classId === looked.value) ??
    ripple.classes.find((c) => (ripple.wayFor(c)?.consequence.moved.length ?? 0) > 0) ??
    ripple.classes[0] ??
    null,
)
const isChosen = (c: ClassRipple, way: Way) => ripple.wayFor(c)?.way === way
const isForAll = (way: Way) => ripple.classes.length > 0 && ripple.classes.every((c) => isChosen(c, way))
const priceOf = (way: Way) =>
  Math.round(
    ripple.classes.reduce((n, c) => n + (c.ways.find((w) => w.way === way)?.consequence.price ?? 0), 0) * 10,
  ) / 10

function pick(c: ClassRipple, way: Way): void {
  looked.value = c.classId
  ripple.choose(way, c.classId)
}
</script>

<template>
  <section ref="box" class="ripple" tabindex="-1" aria-label="What this change moves" data-hook="ripple">
    <header class="top">
      <h2 aria-live="polite">{{ ripple.cause }}</h2>
      <p class="said grow">
        Nothing is changed yet. Choose a way out for all classes (keys 1 to 5), or for one in its row.
      </p>
      <UButton
        :disabled="ripple.waiting || ripple.problem !== null"
        data-hook="apply-ripple"
        @click="emit('apply')"
        >Make the change</UButton
      >
      <UButton color="neutral" variant="ghost" data-hook="drop-ripple" @click="ripple.close()"
        >Drop it</UButton
      >
    </header>
    <p v-if="ripple.problem" class="note-line needs" role="alert">{{ sayRefusal(ripple.problem) }}</p>
    <p v-else-if="ripple.classes.length === 0" class="said p-3">Working out the ways …</p>
    <div v-else class="parts">
      <div class="table-box">
        <table class="ways">
          <thead>
            <tr>
              <th scope="col"><span class="sr-only">Class</span></th>
              <th v-for="(way, i) in WAYS" :key="way" scope="col" :class="{ on: isForAll(way) }">
                <button
                  type="button"
                  :aria-pressed="isForAll(way)"
                  :data-hook="`way-${way}`"
                  :title="WAY_WORDS[way].about"
                  @click="ripple.choose(way)"
                >
                  <span class="code">{{ i + 1 }}</span> {{ WAY_WORDS[way].name }}
                </button>
                <span class="about">{{ WAY_WORDS[way].about }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <RippleRow
              v-for="c in ripple.classes"
              :key="c.classId"
              :of="c"
              :column="desk.columns.find((x) => x.of.id === c.classId)"
              :chosen="ripple.wayFor(c)?.way ?? null"
              @pick="pick(c, $event)"
            />
          </tbody>
          <tfoot v-if="ripple.classes.length > 1">
            <tr>
              <th scope="row">Cost in all</th>
              <td v-for="way in WAYS" :key="way" class="sum" :class="{ on: isForAll(way) }">
                {{ priceOf(way) }}
              </td>
            </tr>
          </tfoot>
        </table>
        <p class="said px-2 py-1">
          {{ COST_OF_CUTS }}, {{ PRICES.fixedDate }} for every fixed date that moves. A bad day: a short day,
          right after a break, or a lesson parted by one.
        </p>
      </div>
      <RippleDetail
        v-if="shownRipple"
        class="detail"
        :ripple="shownRipple"
        :way="ripple.wayFor(shownRipple) ?? null"
      />
    </div>
  </section>
</template>

<style scoped>
/* over the desk and not beside it: the desk under it need not be laid out anew */
.ripple {
  position: absolute;
  inset: auto 0 0;
  z-index: 20;
  max-height: 56%;
  box-shadow: 0 -2px 8px rgb(0 0 0 / 0.12);
  display: flex;
  flex-direction: column;
  border-top: 2px solid var(--ui-primary);
  background: var(--ui-bg);
  outline: none;
}
.top {
  display: flex;
  align-items: center;
  gap: 0.75rem;
  padding: 0.45rem 1rem;
  border-bottom: 1px solid var(--ui-border);
}
.grow {
  flex: 1;
}
.parts {
  flex: 1;
  min-height: 0;
  display: flex;
}
.table-box {
  flex: 1;
  min-width: 0;
  overflow: auto;
  scroll-padding: 8rem 4rem 2rem;
}
.ways {
  width: 100%;
  border-collapse: separate;
  border-spacing: 0;
  font-size: var(--text-xs);
  table-layout: fixed;
}
.ways thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--ui-bg);
  text-align: left;
  padding: 0.3rem 0.5rem;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
.ways thead th:first-child {
  width: 6.5rem;
}
.ways th button {
  font-weight: 650;
  cursor: pointer;
  color: var(--ui-text-highlighted);
  text-align: left;
}
.ways th button {
  min-height: 24px;
}
.ways th button:hover {
  text-decoration: underline;
}
.about {
  display: block;
  font-weight: 400;
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  line-height: 1.25;
}
.ways tfoot th {
  text-align: left;
  padding: 0.25rem 0.5rem 0.25rem 1rem;
  font-weight: 600;
  vertical-align: top;
  border-bottom: 1px solid var(--ui-border-muted);
}
.ways td {
  border-bottom: 1px solid var(--ui-border-muted);
  border-left: 1px solid var(--ui-border-muted);
  vertical-align: top;
}
.ways .on {
  background: color-mix(in oklab, var(--ui-primary) 10%, var(--ui-bg));
}
.sum {
  padding: 0.25rem 0.5rem;
  font-variant-numeric: tabular-nums;
}
.detail {
  width: 21rem;
  flex: none;
  overflow: auto;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
}
@media (max-width: 720px) {
  .top {
    flex-wrap: wrap;
  }
  .top h2 {
    flex: 1 0 100%;
  }
  .top .said {
    display: none;
  }
  .ways {
    min-width: 34rem;
  }
}
/* below the ways, where there is no room beside them */
@media (max-width: 1000px) {
  .parts {
    flex-direction: column;
    overflow: auto;
  }
  .table-box {
    flex: none;
  }
  .detail {
    width: auto;
    overflow: visible;
    border-left: 0;
    border-top: 1px solid var(--ui-border);
  }
}
@media (max-width: 720px) {
  .about {
    display: none;
  }
}
</style>
