<script setup lang="ts">
import JoinView from '~/places/entry/JoinView.vue'
</script>

<template><JoinView /></template>
