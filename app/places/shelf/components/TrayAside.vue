<script setup lang="ts">
import { computed, ref } from 'vue'
import { count } from '~/shared/words/numbers'
import { useTray } from '../stores/tray'

/** What was gathered for something is set aside under a name, and taken up again when one goes on with it. */
const tray = useTray()
const isNaming = ref(false)
const name = ref('')
const known = computed(() => tray.tray.aside.some((g) => g.name === name.value.trim()))
function keep(): void {
  if (name.value.trim() === '') return
  tray.setAside(name.value.trim())
  isNaming.value = false
  name.value = ''
}
const items = computed(() => [
  tray.tray.aside.map((g) => ({
    label: g.name,
    children: [
      [{ label: `Go on with its ${count(g.pieces.length, 'piece')}`, onSelect: () => tray.takeUp(g.name) }],
      [{ label: 'Throw away', onSelect: () => tray.forget(g.name) }],
    ],
  })),
])
</script>

<template>
  <UPopover v-if="tray.cards.length" v-model:open="isNaming">
    <UButton size="sm" color="neutral" variant="ghost" data-hook="set-aside">Set aside</UButton>
    <template #content>
      <form class="p-3 grid gap-2" @submit.prevent="keep">
        <UFormField
          label="For what"
          :help="
            known ? 'Joins what lies there under this name.' : 'Such as a unit: you go on with it later.'
          "
          ><UInput v-model="name" name="gathering" maxlength="60" autofocus
        /></UFormField>
        <UButton
          type="submit"
          size="sm"
          class="justify-self-start"
          :disabled="!name.trim()"
          data-hook="keep-aside"
          >Set {{ count(tray.cards.length, 'piece') }} aside</UButton
        >
      </form>
    </template>
  </UPopover>
  <UDropdownMenu v-if="tray.tray.aside.length" :items="items"
    ><UButton
      size="sm"
      color="neutral"
      variant="ghost"
      trailing-icon="i-lucide-chevron-up"
      data-hook="gatherings"
      >{{ count(tray.tray.aside.length, 'gathering') }}</UButton
    ></UDropdownMenu
  >
</template>
