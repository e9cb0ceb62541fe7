<script setup lang="ts">
import { definePageMeta } from '#imports'
import MyPieceView from '~/places/learner/MyPieceView.vue'

definePageMeta({ layout: 'learner' })
</script>

<template><MyPieceView /></template>
