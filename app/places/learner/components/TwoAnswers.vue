<script setup lang="ts">
import { givenInWords, isOmitted } from '#core/library'
import type { Answer, LearnerItem } from '#core/library'

const props = defineProps<{ item: LearnerItem; mine: Answer | null; theirs: Answer | null }>()
defineEmits<{ choose: [which: 'theirs' | 'mine'] }>()

const inWords = (answer: Answer | null) =>
  !answer || isOmitted(answer) ? 'no answer' : givenInWords(props.item, answer)
</script>

<template>
  <div class="two note-line needs" role="alert" data-hook="two-answers">
    <p>You answered this on another page or device, too. Which answer counts?</p>
    <div class="choices">
      <UButton color="neutral" variant="outline" data-hook="keep-theirs" @click="$emit('choose', 'theirs')"
        >The other one: {{ inWords(theirs) }}</UButton
      >
      <UButton color="neutral" variant="outline" data-hook="keep-mine" @click="$emit('choose', 'mine')"
        >This one: {{ inWords(mine) }}</UButton
      >
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  gap: 0.6rem;
  margin: 0.4rem 0 1rem 1.9rem;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
