<script setup lang="ts">
import { definePageMeta } from '#imports'
import VersionSheetsView from '~/places/versions/VersionSheetsView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><VersionSheetsView /></template>
