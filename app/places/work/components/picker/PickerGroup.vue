<script setup lang="ts">
import { computed, ref } from 'vue'
import { SaveGroup } from '#shared/contracts/teaching'
import type { Recipients } from '#shared/contracts/work'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../../draft'
import { asGroup, namedLearners, namesOf } from '../../picking'

/** Learners who were ticked one by one can become a group with a name, and be chosen as that the next time. */
const props = defineProps<{ recipients: Recipients }>()
const emit = defineEmits<{ made: [] }>()
const draft = defineModel<DraftInWork>({ required: true })
const tell = useTell()
const name = ref('')
const busy = ref(false)
const named = computed(() => namedLearners(draft.value, props.recipients.classes))
const of = computed(() => namesOf(named.value?.classIds ?? [], props.recipients.classes))
async function make(): Promise<void> {
  const learners = named.value?.learners ?? []
  const [classId, ...alsoIn] = named.value?.classIds ?? []
  const called = name.value.trim()
  if (!classId || called === '') return
  const saidOf = of.value
  busy.value = true
  const reply = await call(SaveGroup, {
    params: { classId },
    body: { groupId: null, alsoIn, name: called, learnerIds: [...learners], rule: null, seen: null },
  })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  draft.value = asGroup(draft.value, reply.value.groupId, learners)
  name.value = ''
  tell.done(`“${called}” is a group of ${saidOf}`)
  emit('made')
}
</script>

<template>
  <form v-if="named" class="flex flex-wrap gap-2 items-end" data-hook="make-group" @submit.prevent="make">
    <UFormField
      :label="`Make a group of these ${count(named.learners.length, 'learner')} of ${of}`"
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
