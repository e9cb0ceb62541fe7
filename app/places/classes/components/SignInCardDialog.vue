<script setup lang="ts">
import type { SignInCard } from '#shared/contracts/teaching'

defineProps<{ card: SignInCard; className: string; address: string }>()
const emit = defineEmits<{ close: [] }>()
const print = () => window.print()
</script>

<template>
  <UModal
    :title="`New password for ${card.name}`"
    description="It is shown this once. The learner chooses another at the first sign-in."
    @update:open="emit('close')"
  >
    <template #body>
      <dl class="sign-in-card" data-hook="sign-in-card">
        <div>
          <dt>Name</dt>
          <dd>{{ card.name }}, {{ className }}</dd>
        </div>
        <div>
          <dt>Address</dt>
          <dd>{{ address }}</dd>
        </div>
        <div>
          <dt>Sign-in name</dt>
          <dd class="code" data-hook="card-sign-in">{{ card.signIn }}</dd>
        </div>
        <div>
          <dt>Password, for one time</dt>
          <dd class="code" data-hook="card-password">{{ card.password }}</dd>
        </div>
      </dl>
    </template>
    <template #footer>
      <UButton size="md" icon="i-lucide-printer" autofocus @click="print">Print the card</UButton>
      <UButton size="md" color="neutral" variant="ghost" data-hook="close-card" @click="emit('close')"
        >Done</UButton
      >
    </template>
  </UModal>
</template>

<style scoped>
.sign-in-card {
  display: grid;
  gap: 0.7rem;
  border: 1px dashed var(--ui-border-accented);
  border-radius: 6px;
  padding: 1rem 1.2rem;
}
dt {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
dd {
  font-size: 1.03rem;
  font-weight: 600;
}
</style>
