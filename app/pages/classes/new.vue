<script setup lang="ts">
import { definePageMeta } from '#imports'
import NewClassView from '~/places/classes/NewClassView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><NewClassView /></template>
