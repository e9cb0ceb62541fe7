<script setup lang="ts">
import { definePageMeta } from '#imports'
import WorkView from '~/places/work/WorkView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><WorkView /></template>
