import { computed, ref, shallowRef, watch } from 'vue'
import type { UserId } from '#core/base'
import { NO_WISHES, byBounds, byNaturalBreaks, evenGroups } from '#core/grouping'
import type { GroupingRefusal, Scored, Split, Wishes } from '#core/grouping'
import { nameOfGroup, readBounds } from '../splitWords'
import type { SplitWay } from '../splitWords'

/** A group as it will be kept: named, and perhaps changed by hand. */
export interface DraftGroup {
  readonly name: string
  readonly learnerIds: readonly UserId[]
}
export const MOST_GROUPS = 12

/** A class being split: by a way, with wishes, then by hand. Another way, figure or wish splits it anew. */
export function useSplitting(scored: () => readonly Scored[]) {
  const way = ref<SplitWay>('bounds')
  const boundsText = ref('60, 85')
  const howMany = ref(3)
  const wishes = shallowRef<Wishes>(NO_WISHES)
  const groups = shallowRef<readonly DraftGroup[]>([])
  const unscored = shallowRef<readonly UserId[]>([])
  const refusal = shallowRef<GroupingRefusal | null>(null)
  const bounds = computed(() => readBounds(boundsText.value))
  const isEven = computed(() => way.value === 'alike' || way.value === 'mixed')
  const isCountable = computed(
    () => Number.isInteger(howMany.value) && howMany.value >= 1 && howMany.value <= MOST_GROUPS,
  )

  function splitNow(): Split | null {
    refusal.value = null
    if (way.value === 'bounds') return bounds.value && byBounds(scored(), bounds.value)
    if (!isCountable.value) return null
    if (way.value === 'breaks') return byNaturalBreaks(scored(), howMany.value)
    const found = evenGroups(scored(), howMany.value, way.value, wishes.value)
    if (found.ok) return found.value
    refusal.value = found.error
    return null
  }
  function split(): void {
    const found = splitNow()
    unscored.value = found?.unscored ?? []
    groups.value = (found?.groups ?? []).map((learnerIds, i) => ({
      name: nameOfGroup(way.value, i, bounds.value ?? []),
      learnerIds,
    }))
  }
  watch([scored, way, boundsText, howMany, wishes], split, { immediate: true })

  function rename(at: number, name: string): void {
    groups.value = groups.value.map((g, i) => (i === at ? { ...g, name } : g))
  }
  /** Puts learners into one group and takes them out of the others. */
  function move(ids: readonly UserId[], to: number): void {
    const moving = new Set(ids)
    unscored.value = unscored.value.filter((id) => !moving.has(id))
    groups.value = groups.value.map((g, i) => {
      const others = g.learnerIds.filter((id) => !moving.has(id))
      return { ...g, learnerIds: i === to ? [...others, ...ids] : others }
    })
  }
  function wish(kind: keyof Wishes, pair: readonly [UserId, UserId]): void {
    wishes.value = { ...wishes.value, [kind]: [...wishes.value[kind], pair] }
  }
  function unwish(kind: keyof Wishes, at: number): void {
    wishes.value = { ...wishes.value, [kind]: wishes.value[kind].filter((_, i) => i !== at) }
  }
  return {
    way,
    boundsText,
    howMany,
    wishes,
    groups,
    unscored,
    refusal,
    bounds,
    isEven,
    isCountable,
    rename,
    move,
    wish,
    unwish,
  }
}
