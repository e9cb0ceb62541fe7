import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { PresetId } from '#core/base'
import type { Preset } from '#core/work'
import { DropPreset, KeepPreset, ListPresets } from '#shared/contracts/work'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

/** A teacher's own presets of attempt rules. */
export const usePresets = defineStore('presets', () => {
  const presets = shallowRef<readonly Preset[]>([])
  const isLoaded = ref(false)

  /** Loads once unless asked `anew`. Without them work begins with the ready rules. */
  async function load(anew = false): Promise<void> {
    if (isLoaded.value && !anew) return
    const reply = await call(ListPresets)
    if (!reply.ok) return
    presets.value = reply.value.presets
    isLoaded.value = true
  }
  /** What was refused; null: it is kept. */
  async function keep(preset: Omit<Preset, 'id'>): Promise<Refusal | null> {
    const reply = await call(KeepPreset, { body: preset })
    if (!reply.ok) return reply.error
    await load(true)
    return null
  }
  async function drop(presetId: PresetId): Promise<Refusal | null> {
    const reply = await call(DropPreset, { params: { presetId }, body: {} })
    if (!reply.ok) return reply.error
    await load(true)
    return null
  }
  return { presets, load, keep, drop }
})
