<script setup lang="ts">
import { definePageMeta } from '#imports'
import TrailSheetView from '~/places/versions/TrailSheetView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><TrailSheetView /></template>
