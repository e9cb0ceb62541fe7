<script setup lang="ts">
// pages without a frame: signing in, joining
</script>

<template>
  <div class="min-h-screen"><slot /></div>
</template>
