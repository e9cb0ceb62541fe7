<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref } from 'vue'
import type { ClassId, ResourceId } from '#core/base'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useOverview } from '~/shared/session/overview'
import { useClassShelf } from './composables/classShelf'
import { useShelf } from './stores/shelf'
import { usePickedItems } from './stores/pickedItems'
import { useTray } from './stores/tray'
import BuildCheck from './components/BuildCheck.vue'
import EmptyShelf from './components/EmptyShelf.vue'
import LookInside from './components/LookInside.vue'
import PickedCheck from './components/PickedCheck.vue'
import ShelfNow from './components/ShelfNow.vue'
import ShelfOutline from './components/ShelfOutline.vue'
import ShelfSearch from './components/ShelfSearch.vue'
import StandardPage from './components/StandardPage.vue'
import StandardsTree from './components/StandardsTree.vue'
import TrayDrawer from './components/TrayDrawer.vue'

useHead({ title: 'Shelf' })
const shelf = useShelf()
const tray = useTray()
const address = useAddress()
onMounted(() => void tray.load())
const chosen = computed(() => address.id<ResourceId>('piece'))
const standard = computed(() => address.text('standard'))
const overview = useOverview()
onMounted(() => void overview.load())
const NOBODY = 'nobody'
const forItems = computed(() => [
  { label: 'The whole shelf', value: NOBODY },
  ...(overview.overview?.classes ?? [])
    .filter((c) => c.mine)
    .map((c) => ({ label: `For ${c.name}`, value: c.id as string })),
])
/** For which class somebody looks. */
const classId = computed(() => address.id<ClassId>('class'))
const forClass = computed({
  get: () => classId.value ?? NOBODY,
  set: (id) => go({ class: id === NOBODY ? undefined : id }),
})
const className = computed(
  () => overview.overview?.classes.find((c) => c.id === classId.value && c.mine)?.shortName ?? null,
)
const { shelf: classShelf, routes, setRoute, usual, save } = useClassShelf(classId)
const side = computed<'outline' | 'standards' | null>({
  get: () => (address.text('by') === 'standards' ? 'standards' : 'outline'),
  set: (by) => go({ by: by === 'standards' ? by : undefined }),
})
const SIDES = [
  { value: 'outline', label: 'By textbook', hook: 'by-textbook' },
  { value: 'standards', label: 'By standard', hook: 'by-standard' },
] as const
function go(query: Record<string, string | undefined>): void {
  void address.put(query)
}
const choose = (id: string) => {
  building.value = null
  go({ piece: id, standard: undefined })
}
const read = (code: string) => {
  building.value = null
  go({ standard: code, piece: undefined, by: 'standards' })
}
/** Standards from which a check is built. */
const ticked = ref<readonly string[]>([])
/** What a check is built from at the moment. */
const building = ref<'standards' | 'picked' | null>(null)
const items = usePickedItems()
function tick(code: string, isOn: boolean): void {
  const others = ticked.value.filter((c) => c !== code)
  ticked.value = isOn ? [...others, code] : others
}
function build(code?: string): void {
  if (code && !ticked.value.includes(code)) ticked.value = [...ticked.value, code]
  building.value = 'standards'
}
function buildPicked(): void {
  building.value = 'picked'
}
function stopBuilding(): void {
  building.value = null
}
/** The grade that most of the pieces on the shelf are of. */
const grade = computed(() => shelf.books[0]?.grade ?? 8)
</script>

<template>
  <div class="shelf">
    <section class="left">
      <header class="flex items-center gap-2 mb-3">
        <h1 class="flex-1">Shelf</h1>
        <UButton to="/shelf-files" color="neutral" variant="ghost" data-hook="files">Files</UButton>
        <UButton to="/shelf-own" variant="outline" icon="i-lucide-plus" data-hook="write-own"
          >Write a piece</UButton
        >
      </header>
      <p v-if="shelf.problem" class="note-line needs" role="alert">{{ sayRefusal(shelf.problem) }}</p>
      <EmptyShelf v-else-if="shelf.shelf && shelf.books.length === 0 && shelf.shelf.pieces.length === 0" />
      <USelect
        v-if="forItems.length > 1"
        v-model="forClass"
        class="w-full mb-2"
        :items="forItems"
        aria-label="For which class"
        data-hook="for-class"
      />
      <ShelfSearch
        :chosen="chosen"
        :usual="usual"
        :class-name="className"
        @choose="choose"
        @standard="read"
        @keep="save({ filter: $event })"
      >
        <ChoiceButtons v-model="side" class="mt-3" label="Order of the shelf" :items="SIDES" />
        <template v-if="side === 'standards'">
          <StandardsTree :ticked="ticked" :chosen="standard" @choose="read" @tick="tick" />
          <div v-if="ticked.length" class="building">
            <b class="flex-1">{{ count(ticked.length, 'standard') }} ticked</b>
            <UButton size="sm" data-hook="build" @click="build()">Build a check</UButton>
            <UButton
              size="sm"
              color="neutral"
              variant="ghost"
              @click="
                () => {
                  ticked = []
                }
              "
              >Tick none</UButton
            >
          </div>
        </template>
        <ShelfOutline
          v-else
          :chosen="chosen"
          :book-ids="classShelf?.bookIds ?? null"
          :class-id="classId"
          :class-name="className"
          :routes="routes"
          @choose="choose($event.id)"
          @books="save({ bookIds: $event })"
          @route="setRoute"
        />
      </ShelfSearch>
    </section>
    <section class="right" aria-label="Look inside">
      <BuildCheck
        v-if="building === 'standards' && ticked.length"
        :standards="ticked"
        :grade="grade"
        :class-id="classId"
        @close="stopBuilding"
      />
      <PickedCheck
        v-else-if="building === 'picked' && items.picked.length"
        :grade="grade"
        :class-id="classId"
        @close="stopBuilding"
      />
      <LookInside
        v-else-if="chosen"
        :resource-id="chosen"
        :lesson="address.text('lesson')"
        :class-id="address.text('class')"
        @standard="read"
        @choose="choose"
      />
      <StandardPage v-else-if="standard" :code="standard" @choose="choose" @standard="read" @build="build" />
      <ShelfNow v-else @choose="choose" />
    </section>
    <p v-if="items.picked.length && building !== 'picked'" class="picked drawer" data-hook="picked-bar">
      <b class="flex-1">{{ count(items.picked.length, 'question') }} picked for a check</b>
      <UButton size="sm" color="neutral" variant="ghost" @click="items.clear()">Pick none</UButton>
      <UButton size="sm" data-hook="build-picked" @click="buildPicked">Build the check</UButton>
    </p>
    <TrayDrawer class="drawer" :lesson="address.text('lesson')" :class-id="address.text('class')" />
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: minmax(20rem, 25rem) minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) auto auto;
  height: 100%;
}
.left {
  overflow: auto;
  padding: 0.9rem 1rem 2rem;
  border-right: 1px solid var(--ui-border);
}
.right {
  overflow: auto;
  padding: 1.1rem 1.75rem 3rem;
}
.drawer {
  grid-column: 1 / -1;
}
.picked {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.4rem 1rem;
  border-top: 1px solid var(--line);
  background: var(--ui-bg-muted);
}
.building {
  position: sticky;
  bottom: -2rem;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.6rem 0;
  background: var(--ui-bg);
  border-top: 1px solid var(--line);
}
@media (max-width: 900px) {
  .shelf {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    height: auto;
  }
  .left {
    border-right: 0;
  }
  .drawer {
    position: sticky;
    bottom: 0;
    z-index: 4;
  }
}
</style>
