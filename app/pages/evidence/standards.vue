<script setup lang="ts">
import { definePageMeta } from '#imports'
import StandardsMapView from '~/places/evidence/StandardsMapView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><StandardsMapView /></template>
