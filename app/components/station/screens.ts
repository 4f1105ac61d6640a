import type { Component } from 'vue'
import type { Group, LessonRecord, NewReading, Plan, Reading } from '~~/core/lesson'
import type { Cell } from '~~/core/record'
import type { StationState, StationStep } from '~~/core/station'
import { firstSeries, forMeasure } from '~~/core/test'
import BalanceRound from '~/components/instruments/BalanceRound.vue'
import StationChallenge from '~/components/station/StationChallenge.vue'
import StationDone from '~/components/station/StationDone.vue'
import StationFeedback from '~/components/station/StationFeedback.vue'
import StationImprove from '~/components/station/StationImprove.vue'
import StationObserve from '~/components/station/StationObserve.vue'
import StationOrder from '~/components/station/StationOrder.vue'
import StationPlaces from '~/components/station/StationPlaces.vue'
import StationPredict from '~/components/station/StationPredict.vue'
import StationPropose from '~/components/station/StationPropose.vue'
import StationTrial from '~/components/station/StationTrial.vue'
import StationWonder from '~/components/station/StationWonder.vue'
import type { useStation } from '~/composables/station'
import { newId } from '~/following/newId'

/** Where a group is, and what its screens can do besides writing. */
export interface AtStation {
  plan: Plan
  own: Group
  record: LessonRecord
  now: StationState
  station: ReturnType<typeof useStation>
  /** A reading that is being put right, and the group's newest one. */
  fixing: NewReading | undefined
  last: Reading | undefined
  goOn: () => void
  draw: () => void
  propose: () => void
  skip: (what: 'prediction' | 'practice') => void
  choose: (cell: Cell) => void
  fix: (reading: NewReading | undefined) => void
  written: (readings: NewReading[]) => void
  nextChild: () => void
  nextInvestigation: () => void
}

export interface StationScreen {
  shows: Component
  /** What it is told and, as `onX`, who hears it. */
  told: Record<string, unknown>
  /** Begins anew where this changes. */
  key?: string
  /** What it is about, where that is not the whole plan. */
  plan?: Plan
}

type Step<Show> = Extract<StationStep, { show: Show }>

/** Each step of a group, and the screen that it is shown with. */
const SCREENS: { [Show in StationStep['show']]: (step: Step<Show>, at: AtStation) => StationScreen } = {
  say: (_, { own, record, now, station, goOn }) => ({
    shows: StationWonder,
    told: {
      group: own.id,
      said: record.remarks,
      pictureOf: station.pictureOf,
      closable: now.testing,
      onSay: station.say,
      onClose: goOn,
    },
  }),
  observe: ({ condition }, { own, record, station, goOn }) => ({
    shows: StationObserve,
    told: {
      group: own.id,
      condition,
      seen: record.observations,
      pictureOf: station.pictureOf,
      onObserve: station.observe,
      onClose: goOn,
    },
  }),
  propose: (_, { own, record, station, goOn }) => ({
    shows: StationPropose,
    told: { record, all: station.all.value, group: own.id, onPropose: station.propose, onClose: goOn },
  }),
  improve: ({ condition }, { own, record, station, draw }) => ({
    shows: StationImprove,
    told: { record, group: own.id, condition, onSaid: station.improve, onPicture: draw },
  }),
  tell: (_, { own, record, station, goOn }) => ({
    shows: StationFeedback,
    told: { group: own.id, told: record.feedbacks, onTell: station.tell, onClose: goOn },
  }),
  predict: ({ measure }, { plan, own, station, skip }) => ({
    shows: StationPredict,
    key: `predict-${measure}`,
    plan: firstSeries(forMeasure(plan, measure)),
    told: { group: own.id, onStamp: station.writePrediction, onLater: () => skip('prediction') },
  }),
  challenge: ({ guess }, { own, station, written }) => ({
    shows: StationChallenge,
    told: { group: own.id, guess, onStamp: station.writePrediction, onWritten: written },
  }),
  balance: ({ trial }, { plan, written, skip }) => ({
    shows: BalanceRound,
    key: `balance-${trial.repeat}-${trial.practice}`,
    told: { plan, trial, onWritten: written, onSkipPractice: () => skip('practice') },
  }),
  order: ({ trial }, { written, skip }) => ({
    shows: StationOrder,
    key: `order-${trial.repeat}-${trial.practice}`,
    told: { trial, onWritten: written, onSkipPractice: () => skip('practice') },
  }),
  places: ({ cells }, { station, written, choose }) => ({
    shows: StationPlaces,
    key: `places-${cells[0]!.condition}-${cells[0]!.repeat}-${cells[0]!.moment}`,
    told: { check: station.check, cells, onWritten: written, onSkip: choose },
  }),
  trial: ({ trial }, { own, record, now, station, fixing, last, fix, written, skip, choose }) => ({
    shows: StationTrial,
    key: `${trial.condition}-${trial.repeat}-${trial.moment}-${trial.practice}-${fixing?.id ?? ''}`,
    told: {
      record,
      check: station.check,
      trial,
      group: own,
      pictureOf: station.pictureOf,
      progress: now.progress,
      fixing,
      last,
      onWritten: (reading: NewReading) => written([reading]),
      onSeveral: written,
      onFailed: (reason: string) =>
        station.fail({ id: newId(), group: own.id, condition: trial.condition, repeat: trial.repeat, reason }),
      onFix: () => fix(last),
      onBack: () => fix(undefined),
      onSkipPractice: () => skip('practice'),
      onChoose: choose,
    },
  }),
  done: (_, { own, record, now, station, fix, propose, nextChild, nextInvestigation }) => ({
    shows: StationDone,
    told: {
      record,
      group: own.id,
      all: station.all.value,
      together: station.together.value,
      progress: now.progress,
      onFix: fix,
      onPropose: propose,
      onNext: nextChild,
      onNextInvestigation: nextInvestigation,
    },
  }),
}

/** The screen of the step that a group is at. */
export function screenOf(at: AtStation): StationScreen {
  const { step } = at.now
  return (SCREENS[step.show] as (step: StationStep, at: AtStation) => StationScreen)(step, at)
}
