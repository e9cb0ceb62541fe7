<script setup lang="ts">
import { definePageMeta } from '#imports'
import ScoringQueueView from '~/places/evidence/ScoringQueueView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ScoringQueueView /></template>
