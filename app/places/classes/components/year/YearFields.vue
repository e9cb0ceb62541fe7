<script setup lang="ts">
import { WEEKDAYS } from '#core/base'
import type { IsoDay } from '#core/base'
import DayField from '~/shared/fields/DayField.vue'
import { WEEKDAY_WORDS } from '~/shared/words/times'
import type { useYearForm } from '../../composables/yearForm'
import LetterOverrides from '../setup/LetterOverrides.vue'

/** Name, ends, zone, school days and day letters of a year. */
const props = defineProps<{ form: ReturnType<typeof useYearForm>; today: IsoDay }>()
const { fields, letters, byDate, overrides, labels, put, bound, setWeekday } = props.form
/** As schools mostly have them. */
const USUAL_LETTERS = ['A B', 'A B C D', '1 2 3 4 5 6', '1 2 3 4 5 6 7 8']
const zones = Intl.supportedValuesOf('timeZone')
</script>

<template>
  <template v-if="fields">
    <div class="grid sm:grid-cols-2 gap-3">
      <UFormField label="Name" name="name"
        ><UInput
          :model-value="fields.name"
          name="name"
          maxlength="60"
          @update:model-value="put({ name: String($event) })"
      /></UFormField>
      <UFormField label="Time zone" name="zone"
        ><UInput
          :model-value="fields.zone"
          list="zones"
          name="zone"
          @update:model-value="put({ zone: String($event) })" /><datalist id="zones">
          <option v-for="z in zones" :key="z" :value="z" /></datalist
      ></UFormField>
      <UFormField label="First day" name="firstOn"
        ><DayField
          :model-value="fields.firstOn"
          name="firstOn"
          :today="today"
          @update:model-value="$event && bound('firstOn', $event)"
      /></UFormField>
      <UFormField label="Last day" name="lastOn"
        ><DayField
          :model-value="fields.lastOn"
          name="lastOn"
          :today="today"
          @update:model-value="$event && bound('lastOn', $event)"
      /></UFormField>
    </div>
    <fieldset>
      <legend class="text-sm font-semibold mb-1">School days</legend>
      <div class="flex gap-4 flex-wrap">
        <UCheckbox
          v-for="w in WEEKDAYS"
          :key="w"
          :label="WEEKDAY_WORDS[w - 1]"
          :model-value="fields.weekdays.includes(w)"
          @update:model-value="setWeekday(w, $event === true)"
        />
      </div>
    </fieldset>
    <div class="flex gap-4 items-end flex-wrap">
      <UFormField
        label="Day letters"
        hint="optional"
        help="Such as A B, or 1 2 3 4 5 6, for days that take turns"
        class="w-52"
        ><UInput v-model="letters" name="letters" placeholder="none" list="usual-letters" /><datalist
          id="usual-letters"
        >
          <option v-for="usual in USUAL_LETTERS" :key="usual" :value="usual" /></datalist
      ></UFormField>
      <UCheckbox v-if="labels.length" v-model="byDate" label="A closed day uses up its letter" class="pb-6" />
    </div>
    <LetterOverrides
      v-if="labels.length"
      :labels="labels"
      :overrides="overrides"
      :first-on="fields.firstOn"
      :last-on="fields.lastOn"
      @change="overrides = $event"
    />
  </template>
</template>
