<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { ResourceId } from '#core/base'
import type { PieceChange } from '#core/library'
import { ShowDifference } from '#shared/contracts/library'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { sayChange } from '../words/changes'

/** What differs between a former form of a piece and the one there is now: what is gone, what came. */
const props = defineProps<{ resourceId: ResourceId; revision: number }>()
const changes = shallowRef<readonly PieceChange[] | null>(null)
const problem = ref('')
watch(
  () => [props.resourceId, props.revision] as const,
  async ([resourceId, revision]) => {
    const reply = await call(ShowDifference, { params: { resourceId, revision } })
    if (resourceId !== props.resourceId || revision !== props.revision) return
    changes.value = reply.ok ? reply.value.changes : null
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
  },
  { immediate: true },
)
</script>

<template>
  <div data-hook="difference">
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="changes === null" class="said">Comparing …</p>
    <p v-else-if="changes.length === 0" class="said">Nothing that is shown or scored differs.</p>
    <dl v-else>
      <template v-for="(change, i) in changes.map(sayChange)" :key="i">
        <dt>{{ change.what }}</dt>
        <dd>
          <del v-for="(text, n) in change.was" :key="`was ${n}`">{{ text }}</del>
          <ins v-for="(text, n) in change.is" :key="`is ${n}`">{{ text }}</ins>
        </dd>
      </template>
    </dl>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 0.4rem 0.8rem;
  font-size: var(--text-sm);
}
dt {
  color: var(--ui-text-muted);
}
dd {
  display: grid;
  gap: 0.25rem;
}
del,
ins {
  padding: 0.1rem 0.5rem;
  white-space: pre-wrap;
  border-left: 3px solid var(--line);
}
del {
  color: var(--ui-text-muted);
}
ins {
  text-decoration: none;
  border-color: var(--ui-primary);
}
</style>
