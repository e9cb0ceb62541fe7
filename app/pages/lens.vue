<script setup lang="ts">
import { definePageMeta } from '#imports'
import LensView from '~/places/lens/LensView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><LensView /></template>
