<script setup lang="ts">
import { definePageMeta } from '#imports'
import FilesView from '~/places/shelf/FilesView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><FilesView /></template>
