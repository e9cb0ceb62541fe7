<script setup lang="ts">
import { useRoute } from '#imports'
import { computed, onMounted } from 'vue'
import { useOverview } from '../session/overview'
import { count } from '../words/numbers'

/** A page of one class; opened without saying which, one is chosen first. */
const props = defineProps<{
  title: string
  /** All that the address has to say. */
  needs?: readonly string[]
  /** Where a class is looked at, if not here. */
  to?: string
}>()
const route = useRoute()
const overview = useOverview()
onMounted(() => void overview.load())
const isSaid = computed(() => (props.needs ?? ['class']).every((name) => Boolean(route.query[name])))
const classes = computed(() => (overview.overview?.classes ?? []).filter((c) => c.mine))
</script>

<template>
  <slot v-if="isSaid" />
  <div v-else class="p-5 grid gap-3 max-w-xl" data-hook="choose-class">
    <h1>{{ title }}</h1>
    <p v-if="overview.overview && classes.length === 0">
      You have no class yet. <NuxtLink class="plain" to="/classes/new">Make one</NuxtLink> first.
    </p>
    <template v-else>
      <p>Of which class?</p>
      <ul class="grid gap-1.5">
        <li v-for="c in classes" :key="c.id" class="flex gap-3 items-baseline">
          <NuxtLink class="plain" :to="{ path: to ?? route.path, query: { class: c.id } }">{{
            c.name
          }}</NuxtLink>
          <span class="said">{{ count(c.learners, 'learner') }}</span>
        </li>
      </ul>
    </template>
  </div>
</template>
