<script setup lang="ts">
import { navigateTo } from '#imports'
import { RemoveLearner, ResetPassword } from '#shared/contracts/teaching'
import type { ClassPage, LearnerRow } from '#shared/contracts/teaching'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import SignInCardDialog from './SignInCardDialog.vue'

const props = defineProps<{ page: ClassPage; learner: LearnerRow }>()
const emit = defineEmits<{ changed: [] }>()
const open = useDialogs()
const tell = useTell()

/** The button that opened the menu, which is gone by the time a dialog closes. */
const opener = () => document.querySelector<HTMLElement>(`[data-learner-acts="${props.learner.id}"]`)
function sure(title: string, text: string, act: string): Promise<boolean | null> {
  return open<boolean, typeof ConfirmDialog>(ConfirmDialog, { title, text, act }, opener)
}
const to = () => ({ params: { classId: props.page.id }, body: { learnerId: props.learner.id } })

async function reset(): Promise<void> {
  const { name } = props.learner
  const text = 'The present password ends at once, wherever it is signed in. You get a card to hand over.'
  if ((await sure(`New password for ${name}?`, text, 'Make the card')) !== true) return
  const reply = await call(ResetPassword, to())
  if (!reply.ok) return tell.refused(reply.error)
  const given = { card: reply.value, className: props.page.name, address: window.location.origin }
  await open(SignInCardDialog, given, opener)
  emit('changed')
}
async function remove(): Promise<void> {
  const { name } = props.learner
  const text =
    'They leave the class and its groups, and work they have not begun. ' +
    'What they did is kept and is there again when they come back.'
  if ((await sure(`Remove ${name} from ${props.page.name}?`, text, 'Remove')) !== true) return
  const reply = await call(RemoveLearner, to())
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`${name} is no longer in ${props.page.name}`)
  emit('changed')
}
const items = [
  [
    {
      label: 'See what they see',
      icon: 'i-lucide-eye',
      onSelect: () => void navigateTo(`/lens?learner=${props.learner.id}`),
    },
    {
      label: 'Assign something to them',
      icon: 'i-lucide-plus',
      onSelect: () =>
        void navigateTo({ path: '/work/new', query: { learners: props.learner.id, class: props.page.id } }),
    },
  ],
  [
    { label: 'New password', icon: 'i-lucide-key-round', onSelect: () => void reset() },
    { label: 'Remove from the class', icon: 'i-lucide-user-minus', onSelect: () => void remove() },
  ],
]
</script>

<template>
  <UDropdownMenu :items="items" :content="{ align: 'end' }">
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-ellipsis"
      :aria-label="`More about ${learner.name}`"
      :data-learner-acts="learner.id"
      data-hook="learner-acts"
    />
  </UDropdownMenu>
</template>
