<script setup lang="ts">
import { definePageMeta } from '#imports'
import PlaceView from '~/places/pace/PlaceView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><PlaceView /></template>
