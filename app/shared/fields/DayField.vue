<script setup lang="ts">
import { parseDate } from '@internationalized/date'
import type { DateValue } from '@internationalized/date'
import { computed, ref, watch } from 'vue'
import { isoDay } from '#core/base'
import type { IsoDay } from '#core/base'
import { sayDay } from '~/shared/words/times'
import { readDay } from './dayReading'
import type { DayReader } from './dayReading'

/**
 * What the calendar marks: days on which nothing takes place, with why, and the days a class meets, in order.
 */
export interface DayMarks {
  readonly closures?: ReadonlyMap<IsoDay, string>
  readonly meetings?: readonly IsoDay[]
}

const props = defineProps<{
  /** What the day is for, where no label of a form says it. */
  label?: string
  name?: string
  today: IsoDay
  min?: IsoDay
  max?: IsoDay
  marks?: DayMarks
  mayBeEmpty?: boolean
  disabled?: boolean
  /** Without the year, where all that may be chosen lies in one school year. */
  brief?: boolean
}>()
const day = defineModel<IsoDay | '' | null | undefined>({ required: true })
const emit = defineEmits<{ change: [on: IsoDay | null] }>()

const isOpen = ref(false)
const problem = ref('')
const sayInFull = (on: IsoDay) => `${sayDay(on)} ${on.slice(0, 4)}`
const shownAs = (on: IsoDay) => (props.brief ? sayDay(on) : sayInFull(on))
const text = ref(day.value ? shownAs(day.value) : '')
watch(day, (on) => {
  text.value = on ? shownAs(on) : ''
  problem.value = ''
})

let reader: DayReader | null = null
/** The reader for plain language is large; it comes when a field is entered. */
async function prepare(): Promise<void> {
  reader ??= (await import('./plainDays')).readPlainDay
}

function put(on: IsoDay | null): void {
  problem.value = ''
  text.value = on ? shownAs(on) : ''
  if (on === (day.value || null)) return
  day.value = on
  emit('change', on)
}
async function take(event: Event): Promise<void> {
  const typed = (event.target as HTMLInputElement).value
  if (typed.trim() === '' && props.mayBeEmpty) return put(null)
  const { today, min, max } = props
  const context = { today, min, max, meetings: props.marks?.meetings }
  let on = readDay(typed, context, reader)
  if (on === null && reader === null) {
    await prepare()
    on = readDay(typed, context, reader)
  }
  if (on !== null) return put(on)
  const among = min && max ? `from ${sayDay(min)} to ${sayInFull(max)}` : 'that can be read'
  problem.value = typed.trim()
    ? `“${typed.trim()}” is no day ${among}. Write it like 21 Oct or next tue.`
    : 'Give a day, such as 21 Oct.'
}

const chosen = computed(() => (day.value ? parseDate(day.value) : undefined))
const meetingDays = computed(() => new Set(props.marks?.meetings))
const onOf = (value: DateValue) => isoDay(value.toString().slice(0, 10))
function pick(value: unknown): void {
  if (value) put(onOf(value as DateValue))
  isOpen.value = false
}
/** What is said of a day beside its number. */
function about(value: DateValue): string | undefined {
  const on = onOf(value)
  return props.marks?.closures?.get(on) ?? (meetingDays.value.has(on) ? 'the class meets' : undefined)
}
</script>

<template>
  <div class="day-field" :class="{ brief }">
    <UInput
      v-model="text"
      :name="name"
      :aria-label="label"
      :aria-invalid="problem !== '' || undefined"
      :disabled="disabled"
      :placeholder="mayBeEmpty ? 'any' : '21 Oct'"
      autocomplete="off"
      class="w-full"
      :ui="{ trailing: 'pe-1', base: 'pe-7.5' }"
      data-day-field
      @focus="prepare"
      @change="take"
    >
      <template #trailing>
        <UPopover v-model:open="isOpen" :content="{ align: 'end' }">
          <UButton
            icon="i-lucide-calendar-days"
            size="xs"
            color="neutral"
            variant="link"
            :disabled="disabled"
            :aria-label="label ? `Calendar: ${label}` : 'Calendar'"
          />
          <template #content>
            <div class="p-2">
              <UCalendar
                :model-value="chosen"
                :default-placeholder="parseDate(day || today)"
                :min-value="min ? parseDate(min) : undefined"
                :max-value="max ? parseDate(max) : undefined"
                :week-starts-on="1"
                initial-focus
                @update:model-value="pick"
              >
                <template #day="{ day: value }">
                  <span
                    class="cell"
                    :class="{
                      closed: marks?.closures?.has(onOf(value)),
                      meets: meetingDays.has(onOf(value)),
                      now: onOf(value) === today,
                    }"
                    :title="about(value)"
                    >{{ value.day
                    }}<span v-if="about(value)" class="sr-only">, {{ about(value) }}</span></span
                  >
                </template>
              </UCalendar>
              <p v-if="marks" class="said px-1">
                <template v-if="marks.meetings">Dot: the class meets. </template>Hatched: closed.
              </p>
            </div>
          </template>
        </UPopover>
      </template>
    </UInput>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.day-field {
  min-width: 10rem;
}
.brief {
  min-width: 8rem;
}
.problem {
  font-size: var(--text-xs);
  color: var(--ui-error);
  max-width: 20rem;
}
.cell {
  position: relative;
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  border-radius: inherit;
}
.closed {
  background: var(--hatch);
}
.meets::after {
  content: '';
  position: absolute;
  bottom: 2px;
  width: 4px;
  height: 4px;
  border-radius: 50%;
  background: currentColor;
}
.now {
  box-shadow: inset 0 0 0 1.5px var(--today);
}
</style>
