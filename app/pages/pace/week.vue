<script setup lang="ts">
import { definePageMeta } from '#imports'
import WeekView from '~/places/pace/WeekView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><WeekView /></template>
