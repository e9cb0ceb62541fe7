<script setup lang="ts">
import SignUpView from '~/places/entry/SignUpView.vue'
</script>

<template><SignUpView /></template>
