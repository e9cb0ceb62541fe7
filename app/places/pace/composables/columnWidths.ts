import { useElementSize } from '@vueuse/core'
import { computed, toValue } from 'vue'
import type { MaybeRefOrGetter, Ref } from 'vue'
import { leastHalf } from '../desk/stoneLabel'
import type { DeskColumn } from '../stores/deskColumn'

/** In pixels at 16 to the root, as the styles of the grid and of a cell have them. */
const ROOT = 16
const GUTTER = 64
const CELL_PADDING = 6
const LEAST_CELL = 122
const USUAL_HALF = 26

/** How wide the desk's columns are: as much as its fullest week takes with stones that can be read and hit. */
export function useColumnWidths(
  desk: Ref<HTMLElement | null>,
  columns: MaybeRefOrGetter<readonly DeskColumn[]>,
) {
  const { width } = useElementSize(desk)
  const least = computed(() => {
    const shown = toValue(columns)
    const numbers = shown.flatMap((c) => Array.from(c.lessons.values(), (lesson) => lesson.number))
    const widest = Math.max(1, ...shown.map((c) => c.widestHalves))
    return Math.max(LEAST_CELL, widest * leastHalf(numbers)) + CELL_PADDING
  })
  const leastRem = computed(() => least.value / ROOT)
  const template = computed(
    () => `${GUTTER / ROOT}rem repeat(${toValue(columns).length}, minmax(${leastRem.value}rem, 1fr))`,
  )
  /** How much larger than usual the reader has type set. */
  const enlarged = () => parseFloat(getComputedStyle(document.documentElement).fontSize) / ROOT
  /** Width in pixels of half a meeting in a class's column, so that labels are chosen which fit. */
  function halfPxOf(column: DeskColumn): number {
    if (width.value === 0) return USUAL_HALF
    const shared = (width.value / enlarged() - GUTTER) / Math.max(1, toValue(columns).length)
    return Math.floor((Math.max(shared, least.value) - CELL_PADDING) / column.widestHalves)
  }
  return { leastRem, template, halfPxOf }
}
