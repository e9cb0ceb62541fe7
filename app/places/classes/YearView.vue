<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, ref, watch } from 'vue'
import { isoDay, parseIsoDay, WEEKDAYS } from '#core/base'
import type { IsoDay, Weekday } from '#core/base'
import { WHOLE_FROM } from '#core/calendar'
import type { DayNote, SchoolYear } from '#core/calendar'
import type { FoundClosure } from '#core/formats'
import { MakeYear } from '#shared/contracts/teaching'
import { RippleHere, useAwayFromDesk, useDesk } from '~/places/pace'
import { useServerNow } from '~/shared/session/serverNow'
import { useTell } from '~/shared/frame/tell'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { WEEKDAY_WORDS } from '~/shared/words/times'
import ClosureImport from './components/setup/ClosureImport.vue'
import LetterOverrides from './components/setup/LetterOverrides.vue'

useHead({ title: 'School year · Step Cairn' })
type Form = { -readonly [K in keyof Omit<SchoolYear, 'id'>]: SchoolYear[K] }
const store = useOverview()
const tell = useTell()
const away = useAwayFromDesk()
const desk = useDesk()
const now = useServerNow(3_600_000)
const form = ref<Form | null>(null)
const letters = ref('')
const byDate = ref(false)
const labels = computed(() => letters.value.split(/[\s,]+/).filter(Boolean))
/** The year as the form has it. */
const next = computed(
  () =>
    form.value && {
      ...form.value,
      rotation: labels.value.length
        ? {
            labels: labels.value,
            advance: byDate.value ? ('date' as const) : ('instructional' as const),
            overrides: form.value.rotation?.overrides.filter((o) => labels.value.includes(o.label)) ?? [],
          }
        : null,
    },
)
/** What the form showed when it was last filled, as text. */
const shown = ref('')
const problem = ref('')
const busy = ref(false)
const known = computed(() => store.overview?.years[0] ?? null)
const zones = Intl.supportedValuesOf('timeZone')

/** Puts the year as it stands into the form. */
function show({ id: _, ...year }: SchoolYear): void {
  form.value = { ...year }
  letters.value = year.rotation?.labels.join(' ') ?? ''
  byDate.value = year.rotation?.advance === 'date'
  shown.value = JSON.stringify(next.value)
}
onMounted(async () => {
  await store.load(true)
  if (known.value) return show(known.value.year)
  const start =
    new Date(now.value).getUTCMonth() >= 4
      ? new Date(now.value).getUTCFullYear()
      : new Date(now.value).getUTCFullYear() - 1
  form.value = {
    name: `${start}/${String(start + 1).slice(2)}`,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    firstOn: isoDay(`${start}-08-24`),
    lastOn: isoDay(`${start + 1}-06-11`),
    weekdays: [1, 2, 3, 4, 5],
    terms: [{ name: 'Whole year', firstOn: isoDay(`${start}-08-24`), lastOn: isoDay(`${start + 1}-06-11`) }],
    notes: [],
    rotation: null,
  }
})
// an undo from the bar reaches this page too; what was typed meanwhile stays
watch(
  () => desk.year,
  async (year, before) => {
    if (!year || !before || year === before) return
    await store.load(true)
    if (known.value && JSON.stringify(next.value) === shown.value) show(known.value.year)
  },
)
watch([form, letters, byDate], () => {
  problem.value = ''
})
function put(part: Partial<Form>): void {
  if (form.value) form.value = { ...form.value, ...part }
}
const day = (text: unknown): IsoDay | null => parseIsoDay(String(text))
function bound(field: 'firstOn' | 'lastOn', text: unknown): void {
  const on = day(text)
  if (!on || !form.value) return
  // a single term follows the year
  const { terms } = form.value
  put({ [field]: on, ...(terms.length === 1 && terms[0] ? { terms: [{ ...terms[0], [field]: on }] } : {}) })
}
const toggleDay = (w: Weekday) =>
  put({
    weekdays: form.value?.weekdays.includes(w)
      ? form.value.weekdays.filter((d) => d !== w)
      : [...(form.value?.weekdays ?? []), w].sort(),
  })
const patchTerm = (at: number, part: object) =>
  put({ terms: form.value?.terms.map((t, i) => (i === at ? { ...t, ...part } : t)) ?? [] })
const patchNote = (at: number, part: Partial<DayNote>) =>
  put({ notes: form.value?.notes.map((n, i) => (i === at ? { ...n, ...part } : n)) ?? [] })
let made = 0
const noteId = () => `n${now.value.toString(36)}${made++}`
function addNote(kind: 'closure' | 'short'): void {
  const on = form.value?.notes.at(-1)?.throughOn ?? form.value?.firstOn
  if (form.value && on)
    put({
      notes: [
        ...form.value.notes,
        {
          id: noteId(),
          kind,
          name: kind === 'closure' ? 'Closed' : 'Half day',
          fromOn: on,
          throughOn: on,
          classIds: [],
          ...(kind === 'short' ? { factorRatio: 0.5 } : {}),
        },
      ],
    })
}
function take(closures: readonly FoundClosure[]): void {
  const have = new Set(form.value?.notes.map((n) => `${n.name} ${n.fromOn}`))
  const fresh = closures.filter((c) => !have.has(`${c.name} ${c.fromOn}`))
  put({
    notes: [
      ...(form.value?.notes ?? []),
      ...fresh.map((c): DayNote => ({
        id: noteId(),
        kind: 'closure',
        ...c,
        name: c.name.slice(0, 80),
        classIds: [],
      })),
    ].sort((a, b) => (a.fromOn < b.fromOn ? -1 : 1)),
  })
  tell.done(`${count(fresh.length, 'closure')} added below. Save the year to keep them.`)
}
async function save(): Promise<void> {
  if (!next.value) return
  busy.value = true
  const old = known.value?.year
  const reply = old
    ? await away.propose(
        { kind: 'year', yearId: old.id, from: old, to: { id: old.id, ...next.value } },
        old.id,
        'The school year changed',
      )
    : await call(MakeYear, { body: next.value })
  busy.value = false
  if (!reply.ok) {
    problem.value =
      reply.error.code === 'input/invalid'
        ? `${reply.error.field
            .replace(/^to\./, '')
            .replace('wholeFromRatio', 'share of a shortened meeting')
            .replace(
              /notes\.(\d+)\.(\w+)/,
              (_, n: string) => `closure ${Number(n) + 1}`,
            )} ${reply.error.problem}.`
        : sayRefusal(reply.error)
    return
  }
  problem.value = ''
  if (reply.value === 'made') return saved()
  if (reply.value === 'looked-at') return
  await Promise.all([store.load(true), desk.load(true)])
  await navigateTo('/classes')
}
async function saved(): Promise<void> {
  tell.done('The year is saved')
  await store.load(true)
  if (known.value) show(known.value.year)
}
</script>

<template>
  <form v-if="form" class="p-5 max-w-3xl grid gap-5" novalidate @submit.prevent="save">
    <div>
      <p class="said"><NuxtLink class="plain" to="/classes">Classes</NuxtLink></p>
      <h1>School year</h1>
    </div>
    <p v-if="store.overview && known && !store.overview.mayEditYear" class="note-line care">
      The office changes the school year. You can look at it here.
    </p>
    <div class="grid sm:grid-cols-[8rem_1fr_1fr_13rem] gap-3">
      <UFormField label="Name"
        ><UInput
          :model-value="form.name"
          name="name"
          maxlength="60"
          @update:model-value="put({ name: String($event) })"
      /></UFormField>
      <UFormField label="First day"
        ><UInput
          type="date"
          name="firstOn"
          :model-value="form.firstOn"
          @update:model-value="bound('firstOn', $event)"
      /></UFormField>
      <UFormField label="Last day"
        ><UInput
          type="date"
          name="lastOn"
          :model-value="form.lastOn"
          @update:model-value="bound('lastOn', $event)"
      /></UFormField>
      <UFormField label="Time zone"
        ><UInput
          :model-value="form.zone"
          list="zones"
          name="zone"
          @update:model-value="put({ zone: String($event) })" /><datalist id="zones">
          <option v-for="z in zones" :key="z" :value="z" /></datalist
      ></UFormField>
    </div>
    <fieldset>
      <legend class="text-sm font-semibold mb-1">School days</legend>
      <div class="flex gap-4">
        <label v-for="w in WEEKDAYS" :key="w" class="flex gap-1.5 items-center"
          ><input
            type="checkbox"
            class="accent-(--ui-primary)"
            :checked="form.weekdays.includes(w)"
            @change="toggleDay(w)"
          />{{ WEEKDAY_WORDS[w - 1] }}</label
        >
      </div>
    </fieldset>
    <div class="flex gap-4 items-end flex-wrap">
      <UFormField
        label="Day letters"
        hint="optional"
        help="Such as A B, for days that take turns"
        class="w-52"
        ><UInput v-model="letters" name="letters" placeholder="none" /></UFormField
      ><label v-if="letters.trim()" class="flex gap-2 items-center pb-6"
        ><input v-model="byDate" type="checkbox" class="accent-(--ui-primary)" /> A closed day uses up its
        letter</label
      >
    </div>
    <LetterOverrides
      v-if="labels.length"
      :labels="labels"
      :overrides="form.rotation?.overrides ?? []"
      :first-on="form.firstOn"
      :last-on="form.lastOn"
      @change="put({ rotation: { labels, advance: byDate ? 'date' : 'instructional', overrides: $event } })"
    />
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold mb-1">Terms</legend>
      <div v-for="(t, i) in form.terms" :key="i" class="flex gap-2 items-center">
        <UInput
          class="!w-44"
          :model-value="t.name"
          :aria-label="`Name of term ${i + 1}`"
          @update:model-value="patchTerm(i, { name: String($event) })"
        /><UInput
          type="date"
          class="!w-40"
          :model-value="t.firstOn"
          :aria-label="`First day of term ${i + 1}`"
          @update:model-value="day($event) && patchTerm(i, { firstOn: day($event) })"
        /><UInput
          type="date"
          class="!w-40"
          :model-value="t.lastOn"
          :aria-label="`Last day of term ${i + 1}`"
          @update:model-value="day($event) && patchTerm(i, { lastOn: day($event) })"
        /><UButton
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Remove term ${i + 1}`"
          @click="put({ terms: form!.terms.filter((_, x) => x !== i) })"
        />
      </div>
      <UButton
        class="justify-self-start"
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-plus"
        @click="
          put({
            terms: [
              ...form!.terms,
              { name: `Term ${form!.terms.length + 1}`, firstOn: form!.firstOn, lastOn: form!.lastOn },
            ],
          })
        "
        >Another term</UButton
      >
    </fieldset>
    <fieldset class="grid gap-1.5">
      <legend class="text-sm font-semibold mb-1">
        Closures and short days <span class="said font-normal">{{ form.notes.length }}</span>
      </legend>
      <div v-for="(n, i) in form.notes" :key="n.id" class="flex gap-2 items-center" data-hook="note">
        <USelect
          class="w-28"
          :items="[
            { label: 'Closed', value: 'closure' },
            { label: 'Short day', value: 'short' },
            { label: 'Event', value: 'event' },
          ]"
          :model-value="n.kind"
          :aria-label="`Kind of note ${i + 1}`"
          @update:model-value="
            patchNote(i, {
              kind: $event as 'closure',
              factorRatio: $event === 'short' ? (n.factorRatio ?? 0.5) : undefined,
            })
          "
        /><UInput
          class="!w-48"
          :model-value="n.name"
          maxlength="80"
          :aria-label="`Name of note ${i + 1}`"
          @update:model-value="patchNote(i, { name: String($event) })"
        /><UInput
          type="date"
          class="!w-38"
          :model-value="n.fromOn"
          :aria-label="`First day of note ${i + 1}`"
          @update:model-value="
            day($event) &&
            patchNote(i, {
              fromOn: day($event)!,
              throughOn: n.throughOn < day($event)! ? day($event)! : n.throughOn,
            })
          "
        /><span class="said">to</span
        ><UInput
          type="date"
          class="!w-38"
          :model-value="n.throughOn"
          :aria-label="`Last day of note ${i + 1}`"
          @update:model-value="day($event) && patchNote(i, { throughOn: day($event)! })"
        /><UInput
          v-if="n.kind === 'short'"
          type="number"
          class="!w-18"
          :model-value="Math.round((n.factorRatio ?? 1) * 100)"
          :aria-label="`Percent of the usual time, note ${i + 1}`"
          @update:model-value="patchNote(i, { factorRatio: Number($event) / 100 })"
        /><UButton
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Remove note ${i + 1}`"
          @click="put({ notes: form!.notes.filter((_, x) => x !== i) })"
        />
      </div>
      <label class="flex gap-2 items-center flex-wrap text-sm py-1"
        >A shortened meeting counts as a whole one from
        <UInput
          type="number"
          class="!w-18"
          name="wholeFrom"
          min="50"
          max="100"
          :model-value="Math.round((form.wholeFromRatio ?? WHOLE_FROM) * 100)"
          @update:model-value="put({ wholeFromRatio: Number($event) / 100 })"
        />
        % of its usual minutes, below that as half a meeting.</label
      >
      <div class="flex gap-2">
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-plus"
          data-hook="add-closure"
          @click="addNote('closure')"
          >Closure</UButton
        ><UButton size="xs" color="neutral" variant="ghost" icon="i-lucide-plus" @click="addNote('short')"
          >Short day</UButton
        >
      </div>
    </fieldset>
    <ClosureImport :zone="form.zone" :first-on="form.firstOn" :last-on="form.lastOn" @take="take" />
    <div class="flex gap-2 flex-wrap sticky bottom-0 bg-default border-t border-default py-3">
      <p v-if="problem" class="note-line needs w-full" role="alert">{{ problem }}</p>
      <UButton
        type="submit"
        size="md"
        :loading="busy"
        :disabled="known !== null && !store.overview?.mayEditYear"
        data-hook="save-year"
        >{{ known ? 'Save the year' : 'Make the year' }}</UButton><UButton
        size="md"
        to="/classes"
        color="neutral"
        variant="ghost"
        >Back</UButton
      >
    </div>
  </form>
  <p v-else class="said p-5">Opening …</p>
  <RippleHere @made="saved" />
</template>
