<script setup lang="ts">
import { definePageMeta } from '#imports'
import PlanView from '~/places/classes/PlanView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><PlanView /></template>
