<script setup lang="ts">
import { definePageMeta } from '#imports'
import WithClass from '~/shared/frame/WithClass.vue'
import ScoringQueueView from '~/places/evidence/ScoringQueueView.vue'

definePageMeta({ layout: 'teacher' })
</script>

<template>
  <WithClass title="Scoring" :needs="['class', 'work', 'piece']" to="/evidence"
    ><ScoringQueueView
  /></WithClass>
</template>
