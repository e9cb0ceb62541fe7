<script setup lang="ts">
import { definePageMeta } from '#imports'
import PracticeView from '~/places/learner/PracticeView.vue'

definePageMeta({ layout: 'learner' })
</script>

<template><PracticeView /></template>
