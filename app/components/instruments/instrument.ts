import type { Component } from 'vue'
import type { Plan } from '~~/core/lesson'
import type { Device } from '~~/core/test'
import CounterDevice from './CounterDevice.vue'
import NumberPad from './NumberPad.vue'
import OrderedWords from './OrderedWords.vue'
import LevelInPicture from './LevelInPicture.vue'
import StopwatchDevice from './StopwatchDevice.vue'
import StreamingDevice from './StreamingDevice.vue'
import TwoReadings from './TwoReadings.vue'

/** What every instrument is told. Its model is the text of one reading, as people write it; empty begins anew. */
export interface InstrumentProps {
  plan: Plan
  condition: string
  device: Device
  /** Why the text could not be read; empty when nothing is wrong. */
  trouble: string
  /** Where a picture of the lesson is found. */
  pictureOf: (id: string) => string
}

/** An instrument is a component that fills in a text: reading, doubting and sending it are the station's work. */
export const DEVICE_SCREENS: Record<Exclude<Device, 'laps'>, Component> = {
  pad: NumberPad,
  stopwatch: StopwatchDevice,
  counter: CounterDevice,
  'start-and-finish': TwoReadings,
  'empty-and-full': TwoReadings,
  picture: LevelInPicture,
  words: OrderedWords,
  probe: StreamingDevice,
  scale: StreamingDevice,
  gate: StreamingDevice,
}
