<script setup lang="ts">
/** Says what was seen and what stands now, and asks whether an act is meant all the same. */
defineProps<{
  title: string
  rows: readonly { readonly label: string; readonly was: string; readonly is: string }[]
  /** It was changed, and changed back. */
  isAsSeen: boolean
  act: string
}>()
const emit = defineEmits<{ close: [yes: boolean] }>()
</script>

<template>
  <UModal
    :title="title"
    description="Nothing is done yet."
    :close="false"
    :ui="{ content: 'max-w-2xl', footer: 'flex-wrap' }"
    @update:open="emit('close', false)"
  >
    <template #body>
      <table v-if="rows.length" class="grid-table" data-hook="still-meant">
        <thead>
          <tr>
            <th scope="col"><span class="sr-only">What</span></th>
            <th scope="col">You saw</th>
            <th scope="col">Now there</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td>{{ row.was }}</td>
            <td>{{ row.is }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else>
        {{
          isAsSeen
            ? 'It is again as you saw it.'
            : 'What changed is not shown here. Open it to see all of it.'
        }}
      </p>
    </template>
    <template #footer>
      <UButton color="neutral" variant="outline" data-hook="leave-it" @click="emit('close', false)"
        >Leave it</UButton
      >
      <UButton color="neutral" variant="ghost" data-hook="all-the-same" @click="emit('close', true)">{{
        act
      }}</UButton>
    </template>
  </UModal>
</template>

<style scoped>
td {
  white-space: pre-line;
  overflow-wrap: anywhere;
  vertical-align: top;
}
</style>
