<script setup lang="ts">
import type { FileHandedIn } from '#shared/contracts/evidence'
import FileList from '~/shared/fields/FileList.vue'
import { useOverview } from '~/shared/session/overview'
import { sayMoment } from '~/shared/words/times'

/** What learners handed in as files for a piece, by name. */
defineProps<{ files: readonly FileHandedIn[] }>()
const overview = useOverview()
const about = (f: FileHandedIn) => `${f.learnerName}, ${sayMoment(f.handedAt, overview.zone)}`
</script>

<template>
  <section class="my-3 grid gap-2" aria-label="Files handed in" data-hook="files-in">
    <h3>Files handed in</h3>
    <FileList :files="files" :about="about" />
  </section>
</template>
