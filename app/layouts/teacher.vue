<script setup lang="ts">
import { useNuxtApp } from '#imports'
import '~/shared/theme/teacher.css'
import { useKeptFocus } from '~/shared/frame/keptFocus'
import { addTeacherIcons } from '~/shared/frame/teacherIcons'
import { useDesk } from '~/places/pace'
import { CommandPalette, StepButtons } from '~/places/bar'
import { sayRefusal } from '~/shared/words/refusals'
import { SAYING } from '~/shared/words/saying'
import PersonMenu from '~/shared/frame/PersonMenu.vue'
import PlaceRail from '~/shared/frame/PlaceRail.vue'

addTeacherIcons()
// for dialogs, too, which stand beside the frame
useNuxtApp().vueApp.provide(SAYING, sayRefusal)
useKeptFocus()
const desk = useDesk()
</script>

<template>
  <div class="frame">
    <a class="skip" href="#main">Skip to the content</a>
    <PlaceRail />
    <div class="body">
      <header class="bar">
        <StepButtons v-if="desk.loaded" />
        <div class="grow" />
        <UButton
          color="neutral"
          variant="ghost"
          icon="i-lucide-eye"
          to="/lens"
          aria-label="Lens"
          data-hook="lens"
          ><span class="hidden sm:inline">Lens</span></UButton
        >
        <CommandPalette />
        <PersonMenu />
      </header>
      <main id="main" class="main" tabindex="-1"><slot /></main>
    </div>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  height: 100dvh;
}
@media print {
  .frame {
    display: block;
    height: auto;
  }
  .main {
    overflow: visible;
  }
}
.body {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.bar {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  height: 3rem;
  padding: 0 0.75rem;
  border-bottom: 1px solid var(--ui-border);
  flex: none;
}
.grow {
  flex: 1;
}
/* holds what is placed absolutely within, so that it scrolls here and not the whole window */
.main {
  position: relative;
  flex: 1;
  min-height: 0;
  overflow: auto;
  outline: none;
  scroll-padding-block: 2.5rem 7rem;
}
@media (max-width: 720px) {
  .main {
    scroll-padding-bottom: 14rem;
    padding-bottom: 3.6rem;
  }
}
</style>
