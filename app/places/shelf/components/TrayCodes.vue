<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import type { PieceCard } from '#shared/contracts/library'
import { sayPiece } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'
import { useTray } from '../stores/tray'

/** Short codes, typed or pasted: each is shown with its title before it counts, and unknown ones are named. */
const tray = useTray()
const text = ref('')
const found = shallowRef<readonly PieceCard[]>([])
const unknown = shallowRef<readonly string[]>([])
const problem = ref('')

async function read(): Promise<void> {
  if (text.value.trim() === '') return
  const reply = await tray.read(text.value)
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  found.value = reply.value.found
  unknown.value = reply.value.unknown
}
function take(): void {
  tray.put(found.value.map((p) => p.id))
  close()
}
function close(): void {
  text.value = ''
  found.value = []
  unknown.value = []
}
</script>

<template>
  <form class="codes" @submit.prevent="found.length ? take() : read()">
    <UInput
      v-model="text"
      size="sm"
      name="codes"
      placeholder="Codes, such as wav203 vib204"
      aria-label="Short codes"
      class="w-60"
      @update:model-value="
        () => {
          found = []
          unknown = []
        }
      "
    />
    <UButton size="sm" type="submit" color="neutral" variant="outline" data-hook="read-codes">{{
      found.length ? `Put in ${found.length}` : 'Find'
    }}</UButton>
    <div v-if="found.length || unknown.length || problem" class="shown" role="status" data-hook="codes-found">
      <p v-for="p in found" :key="p.id">
        <span class="code">{{ p.code }}</span> {{ p.title }} <span class="said">{{ sayPiece(p) }}</span>
      </p>
      <p v-if="unknown.length" class="needs">
        Nowhere on the shelf: <span class="code">{{ unknown.join(', ') }}</span>
      </p>
      <p v-if="problem" class="needs">{{ problem }}</p>
    </div>
  </form>
</template>

<style scoped>
.codes {
  display: flex;
  gap: 0.4rem;
  position: relative;
}
.shown {
  position: absolute;
  bottom: 100%;
  right: 0;
  width: min(30rem, 90vw);
  max-height: 16rem;
  overflow: auto;
  padding: 0.6rem 0.8rem;
  background: var(--ui-bg);
  border: 1px solid var(--ui-border-accented);
  border-radius: 8px;
  font-size: 0.84rem;
  z-index: 5;
}
.needs {
  color: var(--ui-error);
}
</style>
