<script setup lang="ts">
import { definePageMeta } from '#imports'
import YearView from '~/places/classes/YearView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><YearView /></template>
