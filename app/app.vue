<script setup lang="ts">
import { useHead } from '#imports'
import { useEventListener } from '@vueuse/core'
import { onMounted } from 'vue'
import { defineFormula } from '~/shared/frame/formula'
import { keepShell } from '~/shared/frame/keepShell'
import { useMe } from '~/shared/session/me'

const APP = 'Step Cairn'
useHead({ titleTemplate: (title) => (title && title !== APP ? `${title} · ${APP}` : APP) })
defineFormula()
// the outermost frame: overlays, toasts, the layout of the page; without a connection it says so
const me = useMe()
const again = () => window.location.reload()
useEventListener(window, 'online', () => {
  if (me.isLost) again()
})
onMounted(() => void keepShell())
</script>

<template>
  <UApp>
    <main v-if="me.isLost" class="mx-auto max-w-xl px-6 pt-[18vh]" data-hook="no-connection">
      <h1>No connection</h1>
      <p class="mt-3 mb-6">
        What you wrote on this device is kept here, and is sent as soon as there is a connection again. This
        page comes back by itself.
      </p>
      <button type="button" class="underline" @click="again">Try again</button>
    </main>
    <NuxtLayout v-else>
      <NuxtPage />
    </NuxtLayout>
    <!-- says the name of each page that is come to -->
    <NuxtRouteAnnouncer />
  </UApp>
</template>
