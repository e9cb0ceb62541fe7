<script setup lang="ts">
import { definePageMeta } from '#imports'
import PlansView from '~/places/classes/PlansView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><PlansView /></template>
