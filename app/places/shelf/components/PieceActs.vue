<script setup lang="ts">
import { navigateTo } from '#imports'
import { computed } from 'vue'
import { CopyPiece, DropPiece, SharePiece } from '#shared/contracts/library'
import type { Inside } from '#shared/contracts/library'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { useShelf } from '../stores/shelf'

/** What can be done with a piece: copy it; change, share, take back or remove one's own. */
const props = defineProps<{ of: Inside }>()
const emit = defineEmits<{ changed: [] }>()
const shelf = useShelf()
const tell = useTell()
const openDialog = useDialogs()
const resourceId = computed(() => props.of.resource.id)

async function copy(): Promise<void> {
  const reply = await call(CopyPiece, { params: { resourceId: resourceId.value } })
  if (!reply.ok) return tell.refused(reply.error)
  await shelf.load(true)
  tell.done('Copied. This is your own piece now: change it as you like.')
  await navigateTo({ path: '/shelf-own', query: { piece: reply.value.resourceId } })
}
async function share(isShared: boolean): Promise<void> {
  const reply = await call(SharePiece, { params: { resourceId: resourceId.value }, body: { isShared } })
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(
    isShared ? 'On the school’s shelf: every teacher here can use it.' : 'Taken back: it is yours alone.',
  )
  emit('changed')
}
async function drop(): Promise<void> {
  const sure = await openDialog<boolean, typeof ConfirmDialog>(ConfirmDialog, {
    title: `Remove “${props.of.resource.title}”?`,
    text: 'It goes from the shelf for good. Work that was given keeps its pieces, so one that is in use stays.',
    act: 'Remove it',
  })
  if (sure !== true) return
  const reply = await call(DropPiece, { params: { resourceId: resourceId.value } })
  if (!reply.ok) return tell.refused(reply.error)
  await shelf.load(true)
  tell.done(`“${reply.value.title}” is removed.`)
  await navigateTo('/shelf')
}
/** The browser fetches the file by itself. */
function download(as: 'qti' | 'csv'): void {
  const link = document.createElement('a')
  link.href = `/api/resources/${resourceId.value}/file?as=${as}`
  link.download = ''
  link.click()
}
const menu = computed(() => [
  [
    {
      label: 'Sheets to print',
      icon: 'i-lucide-printer',
      onSelect: () => void navigateTo({ path: '/shelf-sheets', query: { piece: resourceId.value } }),
    },
    { label: 'Copy and change', icon: 'i-lucide-copy', onSelect: () => void copy() },
    ...(props.of.resource.items.length > 0
      ? [
          { label: 'As a QTI 3.0 package', icon: 'i-lucide-download', onSelect: () => download('qti') },
          { label: 'Its questions as a table', icon: 'i-lucide-download', onSelect: () => download('csv') },
        ]
      : []),
    ...(props.of.mayEdit
      ? [
          props.of.isShared
            ? { label: 'Take back from the school', icon: 'i-lucide-lock', onSelect: () => void share(false) }
            : { label: 'Share with the school', icon: 'i-lucide-users', onSelect: () => void share(true) },
          { label: 'Remove', icon: 'i-lucide-trash-2', onSelect: () => void drop() },
        ]
      : []),
  ],
])
</script>

<template>
  <UButton
    v-if="of.mayEdit"
    size="md"
    color="neutral"
    variant="outline"
    :to="{ path: '/shelf-own', query: { piece: resourceId } }"
    data-hook="change-piece"
    >Change</UButton
  >
  <UDropdownMenu :items="menu">
    <UButton
      size="md"
      color="neutral"
      variant="ghost"
      icon="i-lucide-ellipsis"
      aria-label="More with this piece"
      data-hook="piece-acts"
    />
  </UDropdownMenu>
</template>
