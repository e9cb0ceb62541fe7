<script setup lang="ts">
import { definePageMeta } from '#imports'
import StandingView from '~/places/classes/StandingView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><StandingView /></template>
