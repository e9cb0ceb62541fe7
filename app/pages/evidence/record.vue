<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import RecordView from '~/places/evidence/RecordView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Learner’s record" :needs="['class', 'learner']" to="/evidence"><RecordView /></WithClass>
</template>
