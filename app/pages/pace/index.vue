<script setup lang="ts">
import { definePageMeta } from '#imports'
import DeskView from '~/places/pace/DeskView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><DeskView /></template>
