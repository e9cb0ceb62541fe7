<script setup lang="ts">
import { definePageMeta } from '#imports'
import ClassesView from '~/places/classes/ClassesView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ClassesView /></template>
