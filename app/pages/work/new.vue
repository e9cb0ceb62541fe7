<script setup lang="ts">
import { definePageMeta } from '#imports'
import NewWorkView from '~/places/work/NewWorkView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><NewWorkView /></template>
