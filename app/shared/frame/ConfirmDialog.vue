<script setup lang="ts">
/** Asks before something that is not taken back with one key; answers true when it shall be done. */
defineProps<{ title: string; text: string; act: string }>()
const emit = defineEmits<{ close: [yes: boolean] }>()
</script>

<template>
  <UModal :title="title" :description="text" :close="false" @update:open="emit('close', false)">
    <template #footer>
      <UButton size="md" data-hook="confirm" @click="emit('close', true)">{{ act }}</UButton>
      <UButton size="md" color="neutral" variant="ghost" autofocus @click="emit('close', false)"
        >Leave it</UButton
      >
    </template>
  </UModal>
</template>
