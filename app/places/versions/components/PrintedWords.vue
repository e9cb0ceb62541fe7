<script setup lang="ts">
import type { WordEntry } from '#core/library'

/** The words of a list on paper, with what they mean and how they are used. */
defineProps<{ words: readonly WordEntry[] }>()
</script>

<template>
  <table class="words" data-hook="printed-words">
    <thead>
      <tr>
        <th scope="col">Word</th>
        <th scope="col">Meaning</th>
        <th scope="col">Example</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="w in words" :key="w.word">
        <th scope="row">{{ w.word }}</th>
        <td>{{ w.meaning }}</td>
        <td>{{ w.example }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.words {
  width: 100%;
  border-collapse: collapse;
  margin: 0.8rem 0;
}
.words :is(th, td) {
  border-bottom: 1px solid #999;
  padding: 0.35rem 0.6rem 0.35rem 0;
  text-align: left;
  vertical-align: top;
}
tr {
  break-inside: avoid;
}
</style>
