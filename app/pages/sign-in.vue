<script setup lang="ts">
import SignInView from '~/places/entry/SignInView.vue'
</script>

<template><SignInView /></template>
