<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import ClassPracticeView from '~/places/classes/ClassPracticeView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Practice"><ClassPracticeView /></WithClass>
</template>
