<script setup lang="ts">
import { definePageMeta } from '#imports'
import ShelfView from '~/places/shelf/ShelfView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ShelfView /></template>
