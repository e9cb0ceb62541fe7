<script setup lang="ts">
import { computed } from 'vue'
import type { LessonId } from '#core/base'
import type { ClassRipple, WayShown } from '#shared/contracts/pacing'
import { useDesk } from '../stores/desk'
import { count, meetingsOf } from '~/shared/words/numbers'
import { sayDay, sayMoment } from '~/shared/words/times'
import { BAD_DAY_WORDS, WAY_WORDS, sayAmount } from '../words/ways'

const props = defineProps<{ ripple: ClassRipple; way: WayShown | null }>()
const desk = useDesk()
const column = computed(() => desk.columns.find((c) => c.of.id === props.ripple.classId) ?? null)
const name = (id: LessonId) => {
  const l = column.value?.lessons.get(id)
  return l ? `${l.number} ${l.title}`.trim() : 'a lesson'
}
const c = computed(() => props.way?.consequence ?? null)
</script>

<template>
  <div
    v-if="way && c"
    role="region"
    tabindex="0"
    :aria-label="`What it does to ${column?.of.name}`"
    class="p-3 grid grid-cols-[minmax(0,1fr)] gap-3 text-sm content-start"
    data-hook="ripple-detail"
  >
    <header>
      <h3>{{ column?.of.name }}: {{ WAY_WORDS[way.way].name }}</h3>
      <p class="said">
        <template v-if="ripple.lostMeetings > 0"
          >{{ count(ripple.lostMeetings, 'meeting') }} of the year lost · </template
        >slack at the end {{ meetingsOf(c.slackHalves) }} · cost {{ c.price }}
      </p>
    </header>
    <section v-if="c.notFitting.length">
      <h4 class="needs">No longer fits</h4>
      <ul>
        <li v-for="id in c.notFitting" :key="id">{{ name(id) }}</li>
      </ul>
    </section>
    <section v-if="c.fixedMoved.length">
      <h4 class="needs">Fixed dates that move</h4>
      <ul>
        <li v-for="f in c.fixedMoved" :key="f.lessonId">
          {{ name(f.lessonId) }}: {{ sayDay(f.fromOn) }} → {{ f.toOn ? sayDay(f.toOn) : 'past the year' }}
        </li>
      </ul>
    </section>
    <section v-if="c.cuts.length">
      <h4 class="care">Shortened or left out</h4>
      <ul>
        <li v-for="x in c.cuts" :key="x.lessonId">
          {{ name(x.lessonId) }}:
          <template v-if="x.to > 0">{{ sayAmount(x.unit, x.from) }} → {{ sayAmount(x.unit, x.to) }}</template
          ><template v-else>{{ x.left === 'not-covered' ? 'not covered' : 'left out' }}</template>
        </li>
      </ul>
    </section>
    <section v-if="c.badDays.length">
      <h4 class="care">On a bad day</h4>
      <ul>
        <li v-for="b in c.badDays" :key="`${b.lessonId} ${b.why}`">
          {{ name(b.lessonId) }}, {{ sayDay(b.on) }}: {{ BAD_DAY_WORDS[b.why] }}
        </li>
      </ul>
    </section>
    <section v-if="way.work.length">
      <h4>Work that moves</h4>
      <ul>
        <li v-for="w in way.work" :key="w.assignmentId">
          {{ w.title
          }}<span class="said block"
            ><template v-if="w.stuck">cannot follow: its dates stay</template
            ><template v-else-if="w.newDueAt && w.dueAt !== w.newDueAt"
              >due {{ sayMoment(w.newDueAt, desk.zone, 'due') }}</template
            ><template v-else-if="w.newOpensAt"
              >opens {{ sayMoment(w.newOpensAt, desk.zone, 'opens') }}</template
            ><template v-if="w.begun"> · some have begun: for them it only grows</template></span
          >
        </li>
      </ul>
    </section>
    <section v-if="c.moved.length">
      <h4>Lessons that move</h4>
      <ul>
        <li v-for="m in c.moved" :key="m.lessonId" class="flex justify-between gap-2">
          <span class="truncate">{{ name(m.lessonId) }}</span><span class="tabular-nums whitespace-nowrap"
            >{{ sayDay(m.fromOn) }} → {{ sayDay(m.toOn) }}</span
          >
        </li>
      </ul>
    </section>
    <p v-if="c.moved.length === 0 && c.cuts.length === 0 && c.notFitting.length === 0" class="said">
      Nothing of this class moves.
    </p>
  </div>
</template>

<style scoped>
h4 {
  font-weight: 650;
  font-size: var(--text-xs);
}
h4.needs {
  color: var(--ui-error);
}
h4.care {
  color: var(--ui-warning);
}
li {
  padding-block: 1px;
}
</style>
