<script setup lang="ts">
import { definePageMeta } from '#imports'
import SeriesView from '~/places/pace/SeriesView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><SeriesView /></template>
