<script setup lang="ts">
import { definePageMeta } from '#imports'
import EvidenceView from '~/places/evidence/EvidenceView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><EvidenceView /></template>
