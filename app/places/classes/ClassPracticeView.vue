<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { ClassId } from '#core/base'
import { ShowClassPractice } from '#shared/contracts/evidence'
import type { ClassPractice, PractisedBook } from '#shared/contracts/evidence'
import { SetRoute } from '#shared/contracts/library'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import PractisedLessons from './components/PractisedLessons.vue'
import PracticeTerms from './components/PracticeTerms.vue'

/** What a class may practise of its own choice, and what it did of it; apart from everything that counts. */
const classId = String(useRoute().query.class ?? '') as ClassId
const tell = useTell()
const page = shallowRef<ClassPractice | null>(null)
const problem = ref('')
useHead({ title: computed(() => `Practice of ${page.value?.className ?? 'a class'}`) })
async function load(): Promise<void> {
  const reply = await call(ShowClassPractice, { params: { classId } })
  if (reply.ok) page.value = reply.value
  else problem.value = sayRefusal(reply.error)
}
onMounted(load)
async function keep({ id }: PractisedBook, open: NonNullable<PractisedBook['open']>): Promise<void> {
  const learnerIds = open.learnerIds && [...open.learnerIds]
  const reply = await call(SetRoute, {
    params: { classId },
    body: { bookId: id, isOpen: true, waits: open.waits, learnerIds },
  })
  if (!reply.ok) tell.refused(reply.error)
  await load()
}
</script>

<template>
  <div v-if="page" class="p-5 grid grid-cols-[minmax(0,1fr)] gap-6">
    <header>
      <p class="said">
        <NuxtLink class="plain" to="/classes">Classes</NuxtLink> ·
        <NuxtLink class="plain" :to="`/classes/${classId}`">{{ page.className }}</NuxtLink>
      </p>
      <h1>Practice of {{ page.className }}</h1>
      <p class="said">What they do of their own choice. Nothing here counts.</p>
    </header>
    <p v-if="page.books.length === 0">
      No textbook is open to this class as practice. Open one on the
      <NuxtLink class="plain" :to="{ path: '/shelf', query: { class: classId } }">shelf</NuxtLink>: learners
      find it below their set work.
    </p>
    <section v-for="book in page.books" :key="book.id" :aria-label="book.title" class="grid gap-3">
      <div class="flex flex-wrap gap-x-5 gap-y-2 items-center">
        <h2>{{ book.title }}</h2>
        <PracticeTerms
          v-if="book.open"
          :open="book.open"
          :learners="page.learners"
          @keep="keep(book, $event)"
        />
        <span v-else class="said">closed now</span>
      </div>
      <PractisedLessons v-if="book.lessons.length" :lessons="book.lessons" />
      <p v-else class="said">Nobody has practised anything of it yet.</p>
    </section>
  </div>
  <p v-else-if="problem" class="note-line needs m-5" role="alert">{{ problem }}</p>
  <p v-else class="said p-5">Opening …</p>
</template>
