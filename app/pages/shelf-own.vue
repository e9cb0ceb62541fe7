<script setup lang="ts">
import { definePageMeta } from '#imports'
import OwnPieceView from '~/places/shelf/OwnPieceView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><OwnPieceView /></template>
