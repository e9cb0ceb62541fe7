<script setup lang="ts">
const emit = defineEmits<{ close: [] }>()
const KEYS = [
  ['↑ ↓', 'Earlier or later lesson of the class'],
  ['← →', 'Same lesson in the next class'],
  ['Home', 'To today'],
  ['Shift ↑ ↓', 'Move the lesson earlier or later'],
  ['+ −', 'Half a meeting longer or shorter'],
  ['0', 'Length as in the plan'],
  ['C', 'Covered: the lesson, and all before it'],
  ['V', 'Carried over: goes on for another meeting'],
  ['F', 'Fix to the day it lies on, or free it'],
  ['L', 'Leave it out here, or take it back in'],
  ['X', 'Lose the first meeting of the lesson'],
  ['B', 'Give a lost meeting back'],
  ['N', 'Announce the day: closed, short, event'],
  ['1 to 5', 'While a change is looked at: choose a way out'],
  ['Enter', 'Make that change; otherwise to the details'],
  ['Esc', 'Drop that change; otherwise back to the desk'],
  ['O', 'This class alone, or all classes'],
  ['A', 'Assign the first scored piece of the lesson'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Ctrl K', 'Search and commands'],
  ['?', 'This sheet'],
] as const
</script>

<template>
  <UModal
    title="Keys on the desk"
    description="They work while a stone has the focus."
    @update:open="emit('close')"
  >
    <template #body>
      <dl class="grid grid-cols-[7rem_1fr] gap-y-1.5 text-sm">
        <template v-for="[key, what] in KEYS" :key="key"
          ><dt class="code">{{ key }}</dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
    </template>
  </UModal>
</template>
