<script setup lang="ts">
import AccountView from '~/places/entry/AccountView.vue'
</script>

<template><AccountView /></template>
