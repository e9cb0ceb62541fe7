<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import FilingView from '~/places/classes/FilingView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Headings and grading categories"><FilingView /></WithClass>
</template>
