<script setup lang="ts">
import { computed, ref } from 'vue'
import { SaveGroup } from '#shared/contracts/teaching'
import type { Recipients } from '#shared/contracts/work'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../../draft'
import { asGroup, namedByClass } from '../../picking'

/** Learners who were ticked one by one can become a group with a name, and be chosen as that the next time. */
const props = defineProps<{ recipients: Recipients }>()
const emit = defineEmits<{ made: [] }>()
const draft = defineModel<DraftInWork>({ required: true })
const tell = useTell()
const name = ref('')
const busy = ref(false)
const first = computed(() => namedByClass(draft.value, props.recipients.classes)[0] ?? null)
async function make(): Promise<void> {
  const of = first.value
  const called = name.value.trim()
  if (!of || called === '') return
  busy.value = true
  const reply = await call(SaveGroup, {
    params: { classId: of.classId },
    body: { groupId: null, name: called, learnerIds: [...of.learners], rule: null },
  })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  draft.value = asGroup(draft.value, reply.value.groupId, of.learners)
  name.value = ''
  tell.done(`“${called}” is a group of ${of.className}`)
  emit('made')
}
</script>

<template>
  <form v-if="first" class="flex flex-wrap gap-2 items-end" data-hook="make-group" @submit.prevent="make">
    <UFormField
      :label="`Make a group of these ${count(first.learners.length, 'learner')} of ${first.className}`"
      class="flex-1"
      ><UInput v-model="name" name="group-name" maxlength="40" placeholder="Its name"
    /></UFormField>
    <UButton
      type="submit"
      variant="outline"
      :loading="busy"
      :disabled="name.trim() === ''"
      data-hook="keep-group"
      >Make the group</UButton
    >
  </form>
</template>
