<script setup lang="ts">
import { definePageMeta } from '#imports'
import FindPieceView from '~/places/learner/FindPieceView.vue'

definePageMeta({ layout: 'learner' })
</script>

<template><FindPieceView /></template>
