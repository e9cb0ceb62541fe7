<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId } from '#core/base'
import { GROUP_PARTS } from '#core/audience'
import type { GroupSetting } from '#core/audience'
import { SaveGroup, ShowClass } from '#shared/contracts/teaching'
import type { ClassGroup, ClassPage } from '#shared/contracts/teaching'
import { useCombining } from '~/shared/conflict/combining'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { useTakingAway } from '../composables/takingAway'
import { groupConflict } from '../words/conflicts'

/** What can be done to each group of a class: into which other classes it reaches, and taking it away. */
const props = defineProps<{ page: ClassPage }>()
const emit = defineEmits<{ changed: [] }>()
const tell = useTell()
const combining = useCombining()
const { takeAway } = useTakingAway()
const others = computed(() => props.page.ownClasses.filter((c) => c.id !== props.page.id))

/** What of a group is changed here; its members are ticked in the roster. */
const settingOf = ({ name, classIds, rule }: ClassGroup): GroupSetting => ({
  name,
  classIds,
  rule,
  learnerIds: [],
})
async function reach(group: ClassGroup, classId: ClassId, isIn: boolean): Promise<void> {
  const params = { classId: props.page.id }
  const seen = settingOf(group)
  const classIds = [...group.classIds.filter((id) => id !== classId), ...(isIn ? [classId] : [])]
  const reply = await combining({
    what: `the group ${group.name}`,
    parts: GROUP_PARTS,
    words: groupConflict((id) => props.page.ownClasses.find((c) => c.id === id)?.name ?? 'a class'),
    seen: { value: seen, version: 0 },
    mine: { ...seen, classIds },
    send: ({ name, rule, classIds: alsoIn }, { value }) => {
      const body = { groupId: group.id, alsoIn: [...alsoIn], name, rule, learnerIds: null }
      return call(SaveGroup, { params, body: { ...body, seen: { ...value, learnerIds: null } } })
    },
    current: async () => {
      const now = await call(ShowClass, { params })
      const stands = now.ok ? now.value.groups.find((g) => g.id === group.id) : undefined
      return stands ? { value: settingOf(stands), version: 0 } : null
    },
  })
  if (reply && !reply.ok) tell.refused(reply.error)
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
