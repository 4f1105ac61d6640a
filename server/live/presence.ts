import { randomUUID } from 'node:crypto'
import { EventEmitter } from 'node:events'
import { afterAway, announce, hear } from '../database/hearing'
import type { Database } from '../database/open'

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Calls back when a station of this lesson came or went; nothing of it is stored. The answer ends it. */
export function watchPresence(lesson: string, listener: () => void): () => void {
  emitter.on(lesson, listener)
  return () => emitter.off(lesson, listener)
}

/** A process says again and again who is there; one that says nothing any more is gone, and its stations with it. */
const SAID_AGAIN_EVERY = 20_000
const GONE_AFTER = 50_000
const THIS_PROCESS = randomUUID()

/** A stream whose tablet is off the network stands for minutes: who answered once and then missed two signs of life is away. */
const SILENT_AFTER = 11_000
const LOOKED_AT_EVERY = 1500

/** How many streams each station holds open here at this moment, by lesson. */
const open = new Map<string, Map<string, number>>()
/** When a station last answered; one that never did is there as long as its stream is. */
const answered = new Map<string, number>()
/** Stations that hold a stream here and answer no more. */
const silent = new Set<string>()
/** Who is at other processes, by lesson and process. */
const elsewhere = new Map<string, Map<string, { stations: Set<string>; at: number }>>()
const lastSeen = new Map<string, number>()
/** Streams may be at other processes, too. */
let others = false

/** A station is there until the answer is called. */
export function enter(database: Database, lesson: string, station: string): () => void {
  const here = open.get(lesson) ?? new Map<string, number>()
  open.set(lesson, here)
  here.set(station, (here.get(station) ?? 0) + 1)
  silent.delete(station)
  answered.delete(station)
  watchSilence(database)
  changed(database, lesson)
  return () => {
    const left = (here.get(station) ?? 1) - 1
    if (left > 0) here.set(station, left)
    else here.delete(station)
    if (here.size === 0 && open.get(lesson) === here) open.delete(lesson)
    if (!silent.has(station)) lastSeen.set(station, Date.now())
    if (left === 0) {
      silent.delete(station)
      answered.delete(station)
    }
    changed(database, lesson)
  }
}

/** A station answered a sign of life: here, or at another process that has its stream. */
export function heardOf(database: Database, lesson: string, station: string): void {
  if (open.get(lesson)?.has(station)) return answeredHere(database, lesson, station)
  if (others) void announce(database, { what: 'heard-of', lesson, station }).catch(() => undefined)
}

function answeredHere(database: Database, lesson: string, station: string): void {
  answered.set(station, Date.now())
  if (silent.delete(station)) changed(database, lesson)
}

let watching: NodeJS.Timeout | undefined
function watchSilence(database: Database): void {
  watching ??= setInterval(() => {
    for (const [lesson, here] of open)
      for (const station of here.keys()) {
        const at = answered.get(station)
        if (at === undefined || silent.has(station) || Date.now() - at < SILENT_AFTER) continue
        silent.add(station)
        lastSeen.set(station, at)
        changed(database, lesson)
      }
  }, LOOKED_AT_EVERY).unref()
}

/** Those who hold a stream here and answer. */
const hereNow = (lesson: string) => [...(open.get(lesson)?.keys() ?? [])].filter((station) => !silent.has(station))

function changed(database: Database, lesson: string): void {
  emitter.emit(lesson)
  sayWhoIsHere(database, lesson)
}

function sayWhoIsHere(database: Database, lesson: string): void {
  const stations = hereNow(lesson)
  void announce(database, { what: 'here', lesson, process: THIS_PROCESS, stations }).catch(() => undefined)
}

export function isPresent(lesson: string, station: string): boolean {
  if (open.get(lesson)?.has(station) && !silent.has(station)) return true
  return [...(elsewhere.get(lesson)?.values() ?? [])].some(({ stations }) => stations.has(station))
}

/** When it was last heard of since the server began; undefined while it is there or when it never was. */
export function lastSeenAt(lesson: string, station: string): string | undefined {
  const at = lastSeen.get(station)
  return isPresent(lesson, station) || at === undefined ? undefined : new Date(at).toISOString()
}

/** Begins to tell other processes who is here, and to hear who is there. */
export function sharePresence(database: Database, alone: boolean): void {
  if (alone) return
  others = true
  hear((announcement) => {
    if (announcement.what === 'heard-of' && open.get(announcement.lesson)?.has(announcement.station))
      answeredHere(database, announcement.lesson, announcement.station)
    if (announcement.what === 'who') for (const lesson of open.keys()) sayWhoIsHere(database, lesson)
    if (announcement.what !== 'here' || announcement.process === THIS_PROCESS) return
    const { lesson, process, stations } = announcement
    const there = elsewhere.get(lesson) ?? new Map<string, { stations: Set<string>; at: number }>()
    elsewhere.set(lesson, there)
    become(lesson, there, process, new Set(stations))
  })
  const ask = () => void announce(database, { what: 'who' }).catch(() => undefined)
  afterAway(ask)
  ask()
  setInterval(() => {
    for (const lesson of open.keys()) sayWhoIsHere(database, lesson)
    for (const [lesson, there] of elsewhere)
      for (const [process, { at }] of there) if (Date.now() - at > GONE_AFTER) become(lesson, there, process, new Set())
  }, SAID_AGAIN_EVERY).unref()
}

function become(
  lesson: string,
  there: Map<string, { stations: Set<string>; at: number }>,
  process: string,
  stations: Set<string>,
): void {
  const before = there.get(process)?.stations ?? new Set<string>()
  if (stations.size > 0) there.set(process, { stations, at: Date.now() })
  else there.delete(process)
  if (there.size === 0) elsewhere.delete(lesson)
  const left = [...before].filter((station) => !stations.has(station))
  for (const station of left) lastSeen.set(station, Date.now())
  if (left.length > 0 || [...stations].some((station) => !before.has(station))) emitter.emit(lesson)
}
