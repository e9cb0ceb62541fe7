<script setup lang="ts">
import { DESK_KEYS, FRAME_KEYS, RIPPLE_KEYS } from '../keys'

const emit = defineEmits<{ close: [] }>()
const PARTS = [
  { title: 'On a stone', keys: DESK_KEYS },
  { title: 'While a change is looked at', keys: RIPPLE_KEYS },
  { title: 'Everywhere', keys: FRAME_KEYS },
]
</script>

<template>
  <UModal
    title="Keys on the desk"
    description="They work while a stone has the focus."
    @update:open="emit('close')"
  >
    <template #body>
      <!-- higher than a phone: it is scrolled by keys, too -->
      <div tabindex="0" role="region" aria-label="Keys">
        <section v-for="p in PARTS" :key="p.title" class="mb-4">
          <h3 class="mb-1">{{ p.title }}</h3>
          <dl class="grid grid-cols-[7rem_1fr] gap-y-1.5 text-sm">
            <template v-for="k in p.keys" :key="k.shown"
              ><dt class="code">{{ k.shown }}</dt>
              <dd>{{ k.what }}</dd></template
            >
          </dl>
        </section>
      </div>
    </template>
  </UModal>
</template>
