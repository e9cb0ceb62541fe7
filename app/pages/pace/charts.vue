<script setup lang="ts">
import { definePageMeta } from '#imports'
import ChartsView from '~/places/pace/ChartsView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ChartsView /></template>
