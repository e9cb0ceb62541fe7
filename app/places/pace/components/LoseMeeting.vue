<script setup lang="ts">
import { ref } from 'vue'
import type { IsoDay } from '#core/base'
import { sayDay, sayMinute } from '~/shared/words/times'

const props = defineProps<{ className: string; on: IsoDay; startMinute: number }>()
const emit = defineEmits<{ close: [why: string | null] }>()
const why = ref('')
const WHYS = ['Snow day', 'Assembly', 'Teacher away', 'Drill']
const about =
  `${props.className}, ${sayDay(props.on)}, ${sayMinute(props.startMinute)}. ` +
  'You see what that moves before anything is changed.'
</script>

<template>
  <UModal title="Lose a meeting" :description="about" :close="false" @update:open="emit('close', null)">
    <template #body>
      <form id="lose-form" class="grid gap-3" @submit.prevent="emit('close', why.trim() || 'Meeting lost')">
        <UFormField label="Why" help="Shown on the desk"
          ><UInput v-model="why" name="why" maxlength="80" autofocus placeholder="Meeting lost"
        /></UFormField>
        <div class="flex flex-wrap gap-1.5">
          <UButton
            v-for="w in WHYS"
            :key="w"
            size="xs"
            color="neutral"
            variant="soft"
            @click="
              () => {
                why = w
              }
            "
            >{{ w }}</UButton
          >
        </div>
      </form>
    </template>
    <template #footer>
      <UButton type="submit" form="lose-form" data-hook="confirm-lose">See what it moves</UButton>
      <UButton color="neutral" variant="ghost" @click="emit('close', null)">Keep it</UButton>
    </template>
  </UModal>
</template>
