<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AttemptRules } from '#core/attempts'
import type { ClassId } from '#core/base'
import type { ResourceKind } from '#core/library'
import type { Preset } from '#core/work'
import { useTell } from '~/shared/frame/tell'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'
import { usePresets } from '../../stores/presets'

/** Rules that are worth having again are kept under a name; work of a class or kind may begin with them. */
const props = defineProps<{
  rules: AttemptRules
  /** The own preset that is exactly what is set. */
  exact: Preset | null
  kind: ResourceKind | null
  ofClass: { readonly id: ClassId; readonly name: string } | null
}>()
const presets = usePresets()
const tell = useTell()
const isOpen = ref(false)
const busy = ref(false)
const name = ref('')
const scope = ref('hand')
const problem = ref('')
const scopes = computed(() => {
  const { kind, ofClass } = props
  const what = kind === null ? '' : `“${KIND_WORDS[kind]}”`
  return [
    { value: 'hand', label: 'only when I choose them' },
    ...(kind ? [{ value: 'kind', label: `with every ${what}` }] : []),
    ...(ofClass ? [{ value: 'class', label: `with all work of ${ofClass.name}` }] : []),
    ...(kind && ofClass ? [{ value: 'both', label: `with every ${what} of ${ofClass.name}` }] : []),
  ]
})
function show(isShown: boolean): void {
  isOpen.value = isShown
}
async function keep(): Promise<void> {
  busy.value = true
  const { rules, kind, ofClass } = props
  const refused = await presets.keep({
    name: name.value.trim(),
    rules,
    classId: scope.value === 'class' || scope.value === 'both' ? (ofClass?.id ?? null) : null,
    kind: scope.value === 'kind' || scope.value === 'both' ? kind : null,
  })
  busy.value = false
  problem.value = refused ? sayRefusal(refused) : ''
  if (refused) return
  tell.done(`“${name.value.trim()}” is kept among your rules`)
  isOpen.value = false
  name.value = ''
}
async function drop({ id, name: called }: Preset): Promise<void> {
  const refused = await presets.drop(id)
  if (refused) return tell.refused(refused)
  tell.done(`“${called}” is no longer among your rules`)
}
</script>

<template>
  <UButton
    v-if="exact"
    size="xs"
    color="neutral"
    variant="link"
    class="px-0 justify-self-start"
    data-hook="drop-preset"
    @click="drop(exact)"
    >Take “{{ exact.name }}” off my rules</UButton
  >
  <UButton
    v-else-if="!isOpen"
    size="xs"
    color="neutral"
    variant="link"
    class="px-0 justify-self-start"
    data-hook="keep-rules"
    @click="show(true)"
    >Keep these as rules of mine</UButton
  >
  <form v-else class="grid gap-2" data-hook="preset-form" @submit.prevent="keep">
    <UFormField label="Name of these rules" :error="problem || undefined"
      ><UInput v-model="name" name="preset-name" maxlength="60" autofocus
    /></UFormField>
    <UFormField label="Work begins with them"
      ><USelect v-model="scope" class="w-full" :items="scopes" data-hook="preset-scope"
    /></UFormField>
    <div class="flex gap-2">
      <UButton type="submit" size="xs" :loading="busy" :disabled="name.trim() === ''" data-hook="keep-preset"
        >Keep</UButton
      ><UButton size="xs" color="neutral" variant="ghost" @click="show(false)">Not now</UButton>
    </div>
  </form>
</template>
