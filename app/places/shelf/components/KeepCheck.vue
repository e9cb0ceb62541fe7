<script setup lang="ts">
import { navigateTo } from '#imports'
import { computed, ref } from 'vue'
import { asId } from '#core/base'
import type { ItemId } from '#core/base'
import { NO_MATERIAL } from '#core/library'
import { MakePiece } from '#shared/contracts/library'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import type { PickedItem } from '../stores/pickedItems'
import { useShelf } from '../stores/shelf'
import ItemKey from './ItemKey.vue'

/** Questions put together from banks: a look at each, and the check that is made of them. */
const props = defineProps<{
  items: readonly PickedItem[]
  standards: readonly string[]
  grade: number
  classId: string | null
  usualTitle: string
}>()
const emit = defineEmits<{ 'leave-out': [name: string]; kept: [] }>()
const shelf = useShelf()
const title = ref('')
const problem = ref('')
const busy = ref(false)
/** A minute and a half an item, in steps of five. */
const minutes = computed(() => Math.max(5, Math.round((props.items.length * 1.5) / 5) * 5))

async function keep(assign: boolean): Promise<void> {
  busy.value = true
  const reply = await call(MakePiece, {
    body: {
      title: title.value.trim() || props.usualTitle,
      code: '',
      kind: 'check',
      role: 'core',
      minutes: minutes.value,
      grade: props.grade,
      language: 'en',
      readingLevel: null,
      standards: [...props.standards],
      content: '',
      material: NO_MATERIAL,
      items: props.items.map(({ item }, i) => ({ ...item, id: asId<ItemId>(`q${i + 1}`) })),
    },
  })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  await shelf.load(true)
  const piece = reply.value.resourceId
  const query = props.classId ? { piece, class: props.classId } : { piece }
  await navigateTo({ path: assign ? '/work/new' : '/shelf', query })
  emit('kept')
}
</script>

<template>
  <div>
    <UFormField label="Title" class="my-2"
      ><UInput v-model="title" :placeholder="usualTitle" name="check-title" maxlength="120"
    /></UFormField>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p class="my-2" role="status" data-hook="drawn">
      {{ count(items.length, 'item') }}, about {{ count(minutes, 'minute') }}
    </p>
    <div class="flex gap-2 mb-2">
      <UButton :disabled="items.length === 0" :loading="busy" data-hook="keep-and-assign" @click="keep(true)"
        >Put it on the shelf and assign it</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :disabled="items.length === 0"
        :loading="busy"
        data-hook="keep-check"
        @click="keep(false)"
        >Put it on the shelf</UButton
      >
    </div>
    <ItemKey v-for="(of, i) in items" :key="of.name" :item="of.item" :number="i + 1">
      <p class="flex gap-3 from">
        <span class="said flex-1"
          >from {{ of.from.title }} <span class="code">{{ of.from.code }}</span></span
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          :aria-label="`Leave it out: question ${i + 1}`"
          @click="emit('leave-out', of.name)"
          >Leave it out</UButton
        >
      </p>
    </ItemKey>
  </div>
</template>

<style scoped>
.from {
  align-items: baseline;
  margin-left: 1.5rem;
}
.from .said {
  margin-left: 0;
}
</style>
