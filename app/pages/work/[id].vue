<script setup lang="ts">
import { definePageMeta } from '#imports'
import ChangeWorkView from '~/places/work/ChangeWorkView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ChangeWorkView /></template>
