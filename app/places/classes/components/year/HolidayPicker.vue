<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { IsoDay } from '#core/base'
import type { FoundClosure } from '#core/formats'
import { OfferHolidays } from '#shared/contracts/teaching'
import type { HolidayOffer } from '#shared/contracts/teaching'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDay } from '~/shared/words/times'

/** Public holidays of a country and region, to be ticked one by one. */
const props = defineProps<{
  firstOn: IsoDay
  lastOn: IsoDay
  known: readonly { readonly fromOn: IsoDay }[]
}>()
const emit = defineEmits<{ take: [closures: readonly FoundClosure[]] }>()

const isOpen = ref(false)
/** Of the language in which the browser speaks: a place to begin with. */
const country = ref<string | undefined>(new Intl.Locale(navigator.language).maximize().region)
const region = ref<string>()
const offer = shallowRef<HolidayOffer | null>(null)
const ticked = ref<string[]>([])
const problem = ref('')

const itemsOf = (places: HolidayOffer['countries']) => places.map((p) => ({ label: p.name, value: p.code }))
const keyOf = (h: FoundClosure) => `${h.fromOn} ${h.name}`
const items = computed(() =>
  (offer.value?.holidays ?? []).map((h) => ({
    value: keyOf(h),
    label: h.name,
    description:
      h.throughOn === h.fromOn ? sayDay(h.fromOn) : `${sayDay(h.fromOn)} to ${sayDay(h.throughOn)}`,
    disabled: props.known.some((n) => n.fromOn === h.fromOn),
  })),
)

watch([isOpen, country, region, () => props.firstOn, () => props.lastOn], async () => {
  if (!isOpen.value) return
  const { firstOn, lastOn } = props
  const reply = await call(OfferHolidays, {
    query: { firstOn, lastOn, country: country.value, region: region.value },
  })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) offer.value = reply.value
  // a place of which no holidays are known is none to begin with
  if (reply.ok && !reply.value.countries.some((c) => c.code === country.value)) country.value = undefined
  ticked.value = []
})
function chooseCountry(code: string): void {
  country.value = code
  region.value = undefined
}
function take(): void {
  emit('take', offer.value?.holidays.filter((h) => ticked.value.includes(keyOf(h))) ?? [])
  ticked.value = []
}
</script>

<template>
  <div class="grid gap-2" data-hook="holidays">
    <UButton
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="outline"
      icon="i-lucide-calendar-plus"
      :aria-expanded="isOpen"
      data-hook="open-holidays"
      @click="
        () => {
          isOpen = !isOpen
        }
      "
      >Public holidays</UButton
    >
    <template v-if="isOpen">
      <div class="flex gap-2 flex-wrap">
        <USelectMenu
          :model-value="country"
          :items="itemsOf(offer?.countries ?? [])"
          value-key="value"
          placeholder="Country"
          aria-label="Country"
          class="w-52"
          @update:model-value="chooseCountry"
        />
        <USelectMenu
          v-if="offer?.regions.length"
          v-model="region"
          :items="itemsOf(offer.regions)"
          value-key="value"
          placeholder="Whole country"
          aria-label="Region"
          class="w-52"
        />
      </div>
      <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      <p v-if="country && items.length === 0" class="said">No public holidays are known for these dates.</p>
      <template v-if="items.length">
        <UCheckboxGroup
          v-model="ticked"
          :items="items"
          aria-label="Public holidays"
          class="max-h-64 overflow-auto"
        />
        <UButton
          class="justify-self-start"
          size="xs"
          color="neutral"
          variant="ghost"
          data-hook="tick-holidays"
          @click="
            () => {
              ticked = items.filter((i) => !i.disabled).map((i) => i.value)
            }
          "
          >Tick all</UButton
        >
        <UButton
          class="justify-self-start"
          size="xs"
          :disabled="ticked.length === 0"
          data-hook="take-holidays"
          @click="take"
          >Close on {{ count(ticked.length, 'holiday') }}</UButton
        >
      </template>
    </template>
  </div>
</template>
