<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId } from '#core/base'
import { SaveGroup } from '#shared/contracts/teaching'
import type { ClassGroup, ClassPage } from '#shared/contracts/teaching'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { useTakingAway } from '../composables/takingAway'

/** What can be done to each group of a class: into which other classes it reaches, and taking it away. */
const props = defineProps<{ page: ClassPage }>()
const emit = defineEmits<{ changed: [] }>()
const tell = useTell()
const { takeAway } = useTakingAway()
const others = computed(() => props.page.ownClasses.filter((c) => c.id !== props.page.id))

async function reach(group: ClassGroup, classId: ClassId, isIn: boolean): Promise<void> {
  const alsoIn = [...new Set([...group.classIds.filter((id) => id !== classId), ...(isIn ? [classId] : [])])]
  const reply = await call(SaveGroup, {
    params: { classId: props.page.id },
    body: { groupId: group.id, alsoIn, name: group.name, learnerIds: null, rule: group.rule },
  })
  if (!reply.ok) tell.refused(reply.error)
  emit('changed')
}
async function remove({ id, name }: ClassGroup): Promise<void> {
  if (await takeAway({ kind: 'group', id }, `the group ${name}`)) emit('changed')
}
const items = computed(() => [
  props.page.groups.map((g) => ({
    label: g.name,
    children: [
      // the class in which it was made stays its own
      others.value
        .filter((c) => c.id !== g.classIds[0])
        .map((c) => ({
          label: `Also of ${c.name}`,
          type: 'checkbox' as const,
          checked: g.classIds.includes(c.id),
          onUpdateChecked: (isIn: boolean) => void reach(g, c.id, isIn),
        })),
      [{ label: 'Remove this group', onSelect: () => void remove(g) }],
    ].filter((part) => part.length > 0),
  })),
])
</script>

<template>
  <UDropdownMenu :items="items"
    ><UButton color="neutral" variant="ghost" trailing-icon="i-lucide-chevron-down" data-hook="groups-menu"
      >Groups</UButton
    ></UDropdownMenu
  >
</template>
