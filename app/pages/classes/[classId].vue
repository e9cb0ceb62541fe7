<script setup lang="ts">
import { definePageMeta } from '#imports'
import ClassView from '~/places/classes/ClassView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template><ClassView /></template>
