import { useSessionStorage } from '@vueuse/core'

/** Which branches of an outline are open; they stay so for as long as this window is open, also after a reload. */
export function useOpenBranches(outline: string) {
  const open = useSessionStorage(`open-branches ${outline}`, new Set<string>())
  function openUp(name: string): void {
    if (!open.value.has(name)) open.value = new Set([...open.value, name])
  }
  function toggle(name: string): void {
    const next = new Set(open.value)
    if (!next.delete(name)) next.add(name)
    open.value = next
  }
  return { open, openUp, toggle }
}
