<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import SplitView from '~/places/evidence/SplitView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Split into groups"><SplitView /></WithClass>
</template>
