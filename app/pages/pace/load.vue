<script setup lang="ts">
import { definePageMeta } from '#imports'
import LoadView from '~/places/pace/LoadView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><LoadView /></template>
