<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Recipients } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../draft'
import { keyOf, targetOf } from '../draft'

const props = defineProps<{ recipients: Recipients }>()
const draft = defineModel<DraftInWork>({ required: true })
const word = ref('')
const picked = computed(() => new Set(draft.value.targets.map((t) => keyOf(t.target))))
const fits = (text: string) => text.toLowerCase().includes(word.value.trim().toLowerCase())
const classes = computed(() => props.recipients.classes.filter((c) => fits(`${c.name} ${c.course}`)))
const place = (id: string) => props.recipients.classes.findIndex((c) => c.id === id)
const groups = computed(() =>
  [...props.recipients.groups]
    .sort((a, b) => place(a.classId) - place(b.classId))
    .map((g) => ({ ...g, of: props.recipients.classes.find((c) => c.id === g.classId)?.name ?? '' }))
    .filter((g) => fits(`${g.name} ${g.of}`)),
)
const learners = computed(() =>
  word.value.trim().length < 2
    ? []
    : props.recipients.classes
        .flatMap((c) => c.learners.map((l) => ({ ...l, of: c.name })))
        .filter((l) => fits(l.name))
        .slice(0, 30),
)

function toggle(key: string): void {
  const { targets } = draft.value
  draft.value = {
    ...draft.value,
    targets: picked.value.has(key)
      ? targets.filter((t) => keyOf(t.target) !== key)
      : [...targets, { target: targetOf(key), overrides: {} }],
  }
}
</script>

<template>
  <UPopover :content="{ align: 'end' }">
    <UButton icon="i-lucide-plus" variant="outline" data-hook="add-who"
      >Add classes, groups, learners</UButton
    >
    <template #content>
      <div class="w-84 p-3 grid gap-2">
        <UInput
          v-model="word"
          icon="i-lucide-search"
          placeholder="Class, group or learner's name"
          aria-label="Filter recipients"
          autofocus
        />
        <div class="max-h-84 overflow-auto grid gap-1" data-hook="recipients">
          <h3 v-if="classes.length">Classes</h3>
          <UCheckbox
            v-for="c in classes"
            :key="c.id"
            :model-value="picked.has(`class ${c.id}`)"
            class="row"
            @update:model-value="toggle(`class ${c.id}`)"
            ><template #label
              ><span>{{ c.name }}</span
              ><span class="said">{{ c.learners.length }}</span></template
            ></UCheckbox
          >
          <h3 v-if="groups.length">Groups</h3>
          <UCheckbox
            v-for="g in groups"
            :key="g.id"
            :model-value="picked.has(`group ${g.id}`)"
            class="row"
            @update:model-value="toggle(`group ${g.id}`)"
            ><template #label
              ><span
                >{{ g.name }} <span class="said">{{ g.of }}</span></span
              ><span class="said">{{ g.learners }}</span></template
            ></UCheckbox
          >
          <h3>Learners</h3>
          <p v-if="learners.length === 0" class="said">
            {{ word.trim().length < 2 ? 'Type two letters of a name.' : 'No learner has this name.' }}
          </p>
          <UCheckbox
            v-for="l in learners"
            :key="l.id + l.of"
            :model-value="picked.has(`learner ${l.id}`)"
            class="row"
            @update:model-value="toggle(`learner ${l.id}`)"
            ><template #label
              ><span
                >{{ l.name }} <span class="said">{{ l.of }}</span></span
              ></template
            ></UCheckbox
          >
        </div>
        <p class="said" role="status">{{ count(draft.targets.length, 'recipient') }} chosen</p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
h3 {
  padding-top: 0.3rem;
}
</style>
