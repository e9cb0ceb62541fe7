<script setup lang="ts">
import { useColorMode } from '#imports'
import { computed } from 'vue'
import { useMe } from '~/shared/session/me'

// plain buttons: a menu's code would be a tenth of what a learner's first page loads
const store = useMe()
const mode = useColorMode()
const dark = computed(() => mode.value === 'dark')
</script>

<template>
  <div class="menu">
    <span class="name">{{ store.me?.name }}</span>
    <button type="button" @click="mode.preference = dark ? 'light' : 'dark'">
      {{ dark ? 'Light' : 'Dark' }}
    </button>
    <NuxtLink to="/account">Account</NuxtLink>
    <button type="button" data-hook="sign-out" @click="store.leave()">Sign out</button>
  </div>
</template>

<style scoped>
.menu {
  display: flex;
  gap: 0.9rem;
  align-items: center;
  font-size: 0.84rem;
}
button,
a {
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  padding: 0.3rem 0;
}
@media (max-width: 520px) {
  .name {
    display: none;
  }
}
</style>
