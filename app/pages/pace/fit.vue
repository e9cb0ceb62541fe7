<script setup lang="ts">
import { definePageMeta } from '#imports'
import FitView from '~/places/pace/FitView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><FitView /></template>
