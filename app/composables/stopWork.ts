import type { Component } from 'vue'
import { STOPS, type Stop } from '~~/core/lesson'
import { whenIdle } from '~/composables/idle'

const LOAD: Record<Stop, () => Promise<Component>> = {
  wonder: () => import('~/components/wonder/WonderStop.vue'),
  plan: () => import('~/components/plan/PlanStop.vue'),
  kit: () => import('~/components/kit/KitStop.vue'),
  clock: () => import('~/components/clock/ClockStop.vue'),
  predict: () => import('~/components/predict/PredictStop.vue'),
  test: () => import('~/components/test/TestStop.vue'),
  results: () => import('~/components/results/ResultsStop.vue'),
  agree: () => import('~/components/agree/AgreeStop.vue'),
}

/** What stands in the middle of the desk at each stop. */
export const STOP_WORK = Object.fromEntries(STOPS.map((stop) => [stop, defineAsyncComponent(LOAD[stop])])) as Record<
  Stop,
  Component
>

/** The desk is there before anybody goes to it; whatever does not come now is asked for when it is wanted. */
export function loadDeskWhenIdle(): void {
  whenIdle(async () => {
    await preloadRouteComponents('/lesson/any/test').catch(() => undefined)
    for (const stop of STOPS) await LOAD[stop]().catch(() => undefined)
  })
}
