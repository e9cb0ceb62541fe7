import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { ResourceId } from '#core/base'
import type { Item, Resource } from '#core/library'
import { useMe } from '~/shared/session/me'

/** A question out of a bank, and where it comes from. */
export interface PickedItem {
  readonly name: string
  readonly item: Item
  readonly from: { readonly code: string; readonly title: string }
}

/** The name of a question in any bank. */
export function nameOfItem(resourceId: ResourceId, item: Item): string {
  return `${resourceId} ${item.id}`
}

/** Questions that were picked across banks for a check: kept on this machine until it is made. */
export const usePickedItems = defineStore('picked-items', () => {
  const picked = useLocalStorage<readonly PickedItem[]>(`picked-items 1 ${useMe().me?.userId ?? ''}`, [], {
    listenToStorageChanges: false,
  })
  const has = (name: string) => picked.value.some((p) => p.name === name)
  const banks = computed(() => new Set(picked.value.map((p) => p.from.code)).size)

  function toggle(bank: Resource, item: Item): void {
    const name = nameOfItem(bank.id, item)
    const { code, title } = bank
    if (has(name)) leaveOut(name)
    else picked.value = [...picked.value, { name, item, from: { code, title } }]
  }
  function leaveOut(name: string): void {
    picked.value = picked.value.filter((p) => p.name !== name)
  }
  function clear(): void {
    picked.value = []
  }
  return { picked, has, banks, toggle, leaveOut, clear }
})
