<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { CommentId } from '#core/base'
import type { KeptComment } from '#core/evidence'

/** What is said to a learner; what one types finds the comments that one keeps. */
const props = defineProps<{ text: string; kept: readonly KeptComment[] }>()
const emit = defineEmits<{
  text: [text: string]
  keep: [text: string]
  forget: [id: CommentId]
  leave: []
}>()
const MOST_SHOWN = 5
const typed = ref(props.text)
const box = useTemplateRef<HTMLElement>('box')
/** The line that is being typed. */
const line = computed(() => typed.value.split('\n').at(-1)?.trim().toLowerCase() ?? '')
const shown = computed(() =>
  props.kept
    .filter((c) => !typed.value.includes(c.text))
    .filter((c) => line.value.split(/\s+/).every((word) => c.text.toLowerCase().includes(word)))
    .slice(0, MOST_SHOWN),
)
const isKept = computed(() => props.kept.some((c) => c.text === typed.value.trim()))
const area = () => box.value?.querySelector('textarea') ?? null
let sent = props.text
function send(): void {
  if (typed.value === sent) return
  sent = typed.value
  emit('text', typed.value)
}
const later = useDebounceFn(send, 400)
function write(text: string): void {
  typed.value = text
  void later()
}
/** In the place of the line by which it was found. */
async function take(comment: KeptComment): Promise<void> {
  const before = typed.value.split('\n').slice(0, -1)
  typed.value = [...before, comment.text].join('\n')
  send()
  await nextTick()
  area()?.focus()
}
function leave(): void {
  send()
  emit('leave')
}
/** The list stands there while one is at it. */
const isOpen = ref(false)
function left({ relatedTarget }: FocusEvent): void {
  send()
  isOpen.value = relatedTarget instanceof Node && (box.value?.contains(relatedTarget) ?? false)
}
function toList(event: KeyboardEvent): void {
  const first = box.value?.querySelector<HTMLElement>('[data-hook="kept-comment"]')
  const isAtEnd = area()?.selectionStart === typed.value.length
  if (!first || !isAtEnd) return
  event.preventDefault()
  first.focus()
}
function along(event: KeyboardEvent): void {
  const row = (event.currentTarget as HTMLElement).closest('li')
  const to = event.key === 'ArrowDown' ? row?.nextElementSibling : row?.previousElementSibling
  const button = to?.querySelector<HTMLElement>('[data-hook="kept-comment"]')
  if (button) button.focus()
  else if (event.key === 'ArrowUp') area()?.focus()
}
defineExpose({ focus: () => area()?.focus() })
</script>

<template>
  <div
    ref="box"
    class="grid gap-1.5"
    @focusin="
      () => {
        isOpen = true
      }
    "
    @focusout="left"
  >
    <UFormField label="To the learner">
      <UTextarea
        :model-value="typed"
        :rows="2"
        :maxlength="2000"
        autoresize
        class="w-full"
        name="comment"
        @update:model-value="write(String($event))"
        @keydown.esc.prevent="leave"
        @keydown.down="toList"
      />
    </UFormField>
    <ul v-if="isOpen && shown.length" aria-label="Comments you keep" class="kept">
      <li v-for="c in shown" :key="c.id">
        <button
          type="button"
          data-hook="kept-comment"
          @click="take(c)"
          @keydown.down.prevent.stop="along"
          @keydown.up.prevent.stop="along"
          @keydown.esc.prevent.stop="area()?.focus()"
        >
          {{ c.text }}
        </button>
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Forget the comment ${c.text}`"
          @click="emit('forget', c.id)"
        />
      </li>
    </ul>
    <UButton
      v-if="typed.trim() && !isKept"
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="link"
      data-hook="keep-comment"
      @click="emit('keep', typed.trim())"
      >Keep this comment for other texts</UButton
    >
  </div>
</template>

<style scoped>
.kept {
  border-left: 2px solid var(--line);
}
.kept li {
  display: flex;
  align-items: center;
}
.kept button:first-child {
  flex: 1;
  text-align: left;
  font-size: 0.83rem;
  padding: 0.25rem 0.5rem;
  min-height: 24px;
}
.kept button:first-child:is(:hover, :focus-visible) {
  background: var(--ui-bg-accented);
}
</style>
