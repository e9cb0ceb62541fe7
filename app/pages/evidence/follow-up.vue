<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import FollowUpView from '~/places/evidence/FollowUpView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Follow-up"><FollowUpView /></WithClass>
</template>
