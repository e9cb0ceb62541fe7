import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { ShowOverview } from '#shared/contracts/teaching'
import type { Overview } from '#shared/contracts/teaching'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '../wire/call'

/** A teacher's years, classes and plans. */
export const useOverview = defineStore('overview', () => {
  const overview = shallowRef<Overview | null>(null)
  const problem = shallowRef<Refusal | null>(null)

  /** Loads once unless asked `anew`. */
  async function load(anew = false): Promise<void> {
    if (overview.value && !anew) return
    const reply = await call(ShowOverview)
    problem.value = reply.ok ? null : reply.error
    if (reply.ok) overview.value = reply.value
  }

  /** What an empty workspace still lacks, in order; `next` marks the first that is open. */
  const firstSteps = computed(() => {
    const o = overview.value
    const laid = o?.classes.some((c) => c.planId !== null) ?? false
    const steps = [
      {
        word: 'School year',
        about: 'First and last day, closures, day letters',
        to: '/classes/year',
        act: 'Make the year',
        done: (o?.years.length ?? 0) > 0,
      },
      {
        word: 'A class',
        about: 'When it meets',
        to: '/classes/new',
        act: 'Make a class',
        done: (o?.classes.length ?? 0) > 0,
      },
      {
        word: 'A plan',
        about: 'Units and lessons, from an outline or a textbook',
        to: '/classes/plans',
        act: 'Make a plan',
        done: (o?.plans.length ?? 0) > 0,
      },
      {
        word: 'Lay it out',
        about: "Put the plan on the class's meetings",
        to: '/classes/plans',
        act: 'Lay it out',
        done: laid,
      },
    ]
    const first = steps.findIndex((s) => !s.done)
    return steps.map((s, i) => ({ ...s, next: i === first }))
  })
  const zone = computed(() => overview.value?.years[0]?.year.zone ?? 'UTC')

  return { overview, problem, firstSteps, zone, load }
})
