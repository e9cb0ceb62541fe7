<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted } from 'vue'
import { carriedName } from '~/shared/fields/carriedFile'
import { useOverview } from '~/shared/session/overview'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDay, sayMoment } from '~/shared/words/times'
import FirstSteps from '~/shared/frame/FirstSteps.vue'
import { useTakingAway } from './composables/takingAway'

useHead({ title: 'Classes' })
const store = useOverview()
onMounted(() => store.load(true))
const o = computed(() => store.overview)
const { bringBack } = useTakingAway()
/** Classes that a colleague took out of use: whoever taught them, too, is told. */
const taken = computed(() => (o.value?.archived ?? []).filter((a) => a.goneBy !== null))
/** A list of learners that was chosen among the files. */
const brought = computed(() => carriedName('roster'))
const started = computed(() => store.firstSteps.every((s) => s.done))
</script>

<template>
  <div class="p-5 max-w-5xl">
    <header class="flex gap-2 items-center flex-wrap">
      <h1 class="flex-1">Classes</h1>
      <UButton to="/classes/year" color="neutral" variant="outline">School year</UButton
      ><UButton to="/classes/plans" color="neutral" variant="outline">Plans</UButton
      ><UButton v-if="o?.years.length" to="/classes/new" icon="i-lucide-plus" data-hook="new-class"
        >New class</UButton
      >
    </header>
    <p v-if="store.problem" class="note-line needs mt-3" role="alert">{{ sayRefusal(store.problem) }}</p>
    <p v-for="a in taken" :key="a.id" class="note-line care mt-3" data-hook="taken-by-other">
      {{ a.goneBy }} took {{ a.title }} out of use<template v-if="a.goneAt">
        on {{ sayMoment(a.goneAt, store.zone) }}</template
      >. What its learners did is kept, and can be looked at in the archive below.
    </p>
    <p v-if="brought" class="note-line care mt-3" role="status" data-hook="brought">
      “{{ brought }}” comes with you: choose the class that it belongs to.
    </p>
    <FirstSteps v-if="o && !started" />
    <table v-if="o && o.classes.length" class="grid-table mt-4" data-hook="classes">
      <thead>
        <tr>
          <th scope="col">Class</th>
          <th scope="col">Course</th>
          <th scope="col">Learners</th>
          <th scope="col">Plan</th>
          <th scope="col"><span class="sr-only">Yours</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in o.classes" :key="c.id">
          <th scope="row">
            <NuxtLink class="plain" :to="`/classes/${c.id}`">{{ c.name }}</NuxtLink>
          </th>
          <td>{{ c.course }}</td>
          <td>{{ c.learners }}</td>
          <td>
            <template v-if="c.planTitle">{{ c.planTitle }}</template><NuxtLink
              v-else
              class="plain"
              to="/classes/plans"
              >none laid out yet</NuxtLink
            >
          </td>
          <td class="said">{{ c.mine ? '' : "a colleague's" }}</td>
        </tr>
      </tbody>
    </table>
    <section v-if="o && o.archived.length" class="mt-8" aria-labelledby="archive">
      <h2 id="archive" class="mb-1">Archive</h2>
      <p class="said mb-2">Out of use, with everything kept.</p>
      <p v-for="a in o.archived" :key="a.id" class="flex gap-3 items-center py-1">
        <span class="said w-12">{{ a.kind }}</span><NuxtLink
          v-if="a.kind === 'class'"
          class="plain"
          :to="`/classes/${a.id}`"
          >{{ a.title }}</NuxtLink
        ><span v-else>{{ a.title }}</span
        ><UButton
          v-if="a.mayBringBack"
          size="xs"
          color="neutral"
          variant="outline"
          :aria-label="`Bring back ${a.title}`"
          data-hook="bring-back"
          @click="bringBack(a)"
          >Bring back</UButton
        >
      </p>
    </section>
    <p v-for="y in o?.years" :key="y.year.id" class="said mt-4">
      School year {{ y.year.name }}: {{ sayDay(y.year.firstOn) }} to {{ sayDay(y.year.lastOn) }}
      {{ y.year.lastOn.slice(0, 4) }}, {{ y.year.zone }}, {{ count(y.year.notes.length, 'note')
      }}<template v-if="y.year.rotation">, day letters {{ y.year.rotation.labels.join(' ') }}</template
      >.
    </p>
  </div>
</template>
