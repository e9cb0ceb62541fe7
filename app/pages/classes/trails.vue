<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import TrailSheetView from '~/places/versions/TrailSheetView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Trails"><TrailSheetView /></WithClass>
</template>
