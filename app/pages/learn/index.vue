<script setup lang="ts">
import { definePageMeta } from '#imports'
import MyWorkView from '~/places/learner/MyWorkView.vue'

definePageMeta({ layout: 'learner' })
</script>

<template><MyWorkView /></template>
