<script setup lang="ts">
import WithClass from '~/shared/frame/WithClass.vue'
import DiscussionView from '~/places/evidence/DiscussionView.vue'
</script>

<template>
  <main id="main">
    <WithClass title="Discussion" :needs="['class', 'work']" to="/evidence"><DiscussionView /></WithClass>
  </main>
</template>
