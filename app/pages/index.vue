<script setup lang="ts">
// the middleware sends everyone on
</script>

<template>
  <div />
</template>
