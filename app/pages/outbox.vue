<script setup lang="ts">
import { definePageMeta } from '#imports'
import OutboxView from '~/places/work/OutboxView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><OutboxView /></template>
