<script setup lang="ts">
import { definePageMeta } from '#imports'
import TermSheetView from '~/places/pace/TermSheetView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><TermSheetView /></template>
