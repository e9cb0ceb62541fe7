<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ClassId } from '#core/base'
import { GRADES } from '#core/audience'
import type { GroupRule } from '#core/audience'
import { SaveGroup } from '#shared/contracts/teaching'
import type { ClassPage } from '#shared/contracts/teaching'
import { useShelf } from '~/places/shelf'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

/** A group to tick learners into, or one whose learners follow from how they stand. */
const props = defineProps<{ classId: ClassId; others: ClassPage['ownClasses'] }>()
const emit = defineEmits<{ made: [] }>()
const tell = useTell()
const shelf = useShelf()
const name = ref('')
const by = ref<'hand' | 'below' | 'from' | 'grade'>('hand')
const percent = ref(60)
const leastItems = ref(4)
const standards = ref<string[]>([])
const grades = ref<number[]>([])
const alsoIn = ref<ClassId[]>([])
const problem = ref('')
const WAYS = [
  { value: 'hand', label: 'whom I tick' },
  { value: 'below', label: 'whoever stands below' },
  { value: 'from', label: 'whoever stands from' },
  { value: 'grade', label: 'whoever is in grade' },
]
const choices = computed(() => (shelf.shelf?.standards ?? []).map((s) => s.code))
const names = computed(() => props.others.filter((c) => alsoIn.value.includes(c.id)).map((c) => c.name))
const isByStanding = computed(() => by.value === 'below' || by.value === 'from')
const rule = computed<GroupRule | null>(() => {
  if (by.value === 'hand') return null
  if (by.value === 'grade') return { kind: 'grade', grades: [...grades.value].sort((a, b) => a - b) }
  return {
    kind: 'standing',
    standards: standards.value,
    from: by.value === 'from' ? percent.value : null,
    below: by.value === 'below' ? percent.value : null,
    leastItems: leastItems.value,
  }
})
function chose(): void {
  if (isByStanding.value) void shelf.load()
}
async function add(): Promise<void> {
  const reply = await call(SaveGroup, {
    params: { classId: props.classId },
    body: {
      groupId: null,
      alsoIn: alsoIn.value,
      name: name.value.trim(),
      learnerIds: [],
      rule: rule.value,
      seen: null,
    },
  })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  if (rule.value) tell.done(`“${name.value.trim()}” has ${count(reply.value.learners, 'learner')} now`)
  name.value = ''
  by.value = 'hand'
  alsoIn.value = []
  emit('made')
}
</script>

<template>
  <form class="flex flex-wrap gap-1.5 items-center" @submit.prevent="add">
    <UInput
      v-model="name"
      class="!w-36"
      maxlength="40"
      placeholder="New group"
      aria-label="Name of a new group"
      name="new-group"
    />
    <template v-if="name.trim()">
      <USelect
        v-model="by"
        class="!w-44"
        :items="WAYS"
        aria-label="Who is in it"
        data-hook="group-by"
        @update:model-value="chose"
      />
      <USelectMenu
        v-if="by === 'grade'"
        v-model="grades"
        class="!w-32"
        multiple
        :items="[...GRADES]"
        placeholder="which"
        :aria-label="`Grades: ${grades.join(', ') || 'none yet'}`"
        data-hook="group-grades"
      />
      <template v-if="isByStanding">
        <UInput
          v-model.number="percent"
          type="number"
          min="0"
          max="100"
          class="!w-18"
          aria-label="Percent"
          name="group-percent"
        />
        <span>% on</span>
        <USelectMenu
          v-model="standards"
          class="!w-44"
          multiple
          :items="choices"
          placeholder="all standards"
          :aria-label="`Standards: ${standards.join(', ') || 'all standards'}`"
        />
        <span>, by at least</span>
        <UInput
          v-model.number="leastItems"
          type="number"
          min="1"
          max="100"
          class="!w-16"
          aria-label="Questions at least"
        />
        <span>questions</span>
      </template>
      <USelectMenu
        v-if="others.length"
        v-model="alsoIn"
        class="!w-40"
        multiple
        :items="others.map((c) => ({ label: c.name, value: c.id }))"
        value-key="value"
        placeholder="of this class only"
        :aria-label="names.length ? `Also of ${names.join(', ')}` : 'Learners of this class only'"
        data-hook="group-classes"
      />
    </template>
    <UButton type="submit" color="neutral" variant="outline" :disabled="!name.trim()">Add group</UButton>
    <p v-if="by === 'grade'" class="said w-full">
      Whoever comes into the grade comes into the group. Work keeps those who were in it when it was
      published.
    </p>
    <p v-if="isByStanding" class="said w-full">
      Shown as they stand now. Work keeps those who were in it when it was published; who has answered fewer
      questions is in no such group.
    </p>
    <p v-if="problem" class="note-line needs w-full" role="alert">{{ problem }}</p>
  </form>
</template>
