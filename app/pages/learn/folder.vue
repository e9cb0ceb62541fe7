<script setup lang="ts">
import { definePageMeta } from '#imports'
import MyFolderView from '~/places/learner/MyFolderView.vue'

definePageMeta({ layout: 'learner' })
</script>

<template><MyFolderView /></template>
