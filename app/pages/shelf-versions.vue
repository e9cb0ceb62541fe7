<script setup lang="ts">
import { definePageMeta } from '#imports'
import VersionsView from '~/places/versions/VersionsView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><VersionsView /></template>
