<script setup lang="ts">
import { definePageMeta } from '#imports'
import FilingView from '~/places/classes/FilingView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><FilingView /></template>
