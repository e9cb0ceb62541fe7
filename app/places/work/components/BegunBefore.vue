<script setup lang="ts">
import type { Instant } from '#core/base'
import { sayMoment } from '~/shared/words/times'

/** Says that something was begun here before: it is gone on with, or offered. */
defineProps<{ at: Instant; zone: string; isGoneOn: boolean }>()
defineEmits<{ 'go-on': []; 'begin-anew': [] }>()
</script>

<template>
  <p
    class="note-line fine mt-3 flex flex-wrap items-center gap-x-3 gap-y-1"
    role="status"
    data-hook="begun-before"
  >
    <template v-if="isGoneOn">Gone on with what you had chosen here, {{ sayMoment(at, zone) }}.</template>
    <template v-else>You had begun this {{ sayMoment(at, zone) }} and not sent it.</template>
    <UButton v-if="!isGoneOn" size="xs" variant="outline" data-hook="go-on" @click="$emit('go-on')"
      >Go on with that</UButton
    >
    <UButton size="xs" color="neutral" variant="link" data-hook="begin-anew" @click="$emit('begin-anew')">{{
      isGoneOn ? 'Begin anew' : 'Forget it'
    }}</UButton>
  </p>
</template>
