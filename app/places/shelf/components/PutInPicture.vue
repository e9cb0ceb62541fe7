<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { KEPT_TYPES, addressOf } from '#core/library'
import type { KeptFile } from '#core/library'
import { KeepFile } from '#shared/contracts/files'
import ChooseFile from '~/shared/fields/ChooseFile.vue'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** A picture for a text: the file, and what it shows, in words for who cannot see it. */
const emit = defineEmits<{ picture: [address: string, words: string] }>()
const ACCEPT = Object.keys(KEPT_TYPES)
  .filter((type) => KEPT_TYPES[type] === 'picture')
  .join(',')
const isOpen = ref(false)
const kept = shallowRef<KeptFile | null>(null)
const words = ref('')
const busy = ref(false)
const problem = ref('')
const isReady = computed(() => kept.value !== null && words.value.trim() !== '')
async function keep(file: { readonly name: string; readonly base64: string }): Promise<void> {
  busy.value = true
  const reply = await call(KeepFile, { body: file })
  busy.value = false
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok && reply.value.sort === 'picture') kept.value = reply.value
  else if (reply.ok) problem.value = `“${reply.value.name}” is no picture.`
}
function putIn(): void {
  if (!kept.value || !isReady.value) return
  emit('picture', addressOf(kept.value.id), words.value.replace(/[[\]\n]/g, ' ').trim())
  isOpen.value = false
  kept.value = null
  words.value = ''
}
</script>

<template>
  <div>
    <UButton
      v-if="!isOpen"
      size="xs"
      color="neutral"
      variant="outline"
      icon="i-lucide-image"
      data-hook="picture"
      @click="
        () => {
          isOpen = true
        }
      "
      >Put in a picture</UButton
    >
    <div v-else class="form grid gap-2" data-hook="picture-form">
      <img v-if="kept" :src="addressOf(kept.id)" :alt="words" class="shown" />
      <ChooseFile
        :label="kept ? 'Choose another picture' : 'Choose a picture'"
        :accept="ACCEPT"
        :busy="busy"
        @chosen="keep"
      />
      <UFormField label="What it shows" help="Read out to who cannot see it; shown where it cannot be loaded"
        ><UInput v-model="words" name="picture-words" maxlength="300" @keydown.enter.prevent="putIn"
      /></UFormField>
      <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      <div class="flex gap-2">
        <UButton :disabled="!isReady" data-hook="put-in" @click="putIn">Put it in</UButton
        ><UButton
          color="neutral"
          variant="ghost"
          @click="
            () => {
              isOpen = false
            }
          "
          >Leave it</UButton
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.form {
  padding: 0.75rem;
  border: 1px solid var(--ui-border);
  border-radius: 6px;
}
.shown {
  max-height: 10rem;
  justify-self: start;
}
</style>
