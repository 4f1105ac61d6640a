import type { Rollup } from 'vite'
import { edgesOf } from './whatIsTaken'

export type Modules = Pick<Rollup.ManualChunkMeta, 'getModuleIds' | 'getModuleInfo'>

/**
 * The rooms of the application, by the parts that open them. Left to itself the bundler makes a file for nearly every part: 112
 * scripts for a station, each asked for on its own. What the same rooms need is one file here, so that a room loads what it needs
 * and nothing of another's.
 */
const ROOMS: [RegExp, string][] = [
  [/\/app\/pages\/index\.vue/, 'front'],
  [/\/app\/pages\/lesson\//, 'desk'],
  [/\/app\/components\/\w+\/\w+Stop\.vue/, 'stop'],
  [/\/app\/pages\/station\.vue/, 'station'],
  [/\/app\/pages\/board\//, 'board'],
  [/\/app\/pages\/print\//, 'print'],
  [/\/app\/pages\//, 'page'],
]
/** What is opened within these is held apart, too: they are seen first, and on tablets. */
const LIGHT = new Set(['front', 'station', 'board'])
const ALWAYS = 'always'
const OPENED_LATER = 'later'

let asked: unknown
let files = new Map<string, string>()

/**
 * The file that a part is put into; nothing where only one part that is opened later needs it. What a part takes is needed by
 * all that need the part, so that no two files wait for each other.
 */
export function scriptsTogether(part: string, modules: Modules): string | undefined {
  if (asked !== modules.getModuleIds) [asked, files] = [modules.getModuleIds, filesOf(modules)]
  return files.get(part)
}

function filesOf(modules: Modules): Map<string, string> {
  const infos = [...modules.getModuleIds()].map((id) => modules.getModuleInfo(id)).filter((info) => info !== null)
  const edges = edgesOf(infos)
  const needs = (id: string): Set<string> => {
    const all = new Set([id])
    for (const part of all) for (const next of edges.get(part) ?? []) all.add(next)
    return all
  }
  const always = new Set(infos.filter(({ isEntry }) => isEntry).flatMap(({ id }) => [...needs(id)]))
  const opened = infos.filter(({ isEntry, dynamicImporters }) => !isEntry && dynamicImporters.length > 0)
  const light = opened.flatMap(({ id }) => (LIGHT.has(roomOf(id) ?? '') ? [{ room: roomOf(id)!, parts: needs(id) }] : []))
  const roomsOf = new Map<string, string[]>()
  for (const { id, dynamicImporters } of opened) {
    const within = light.filter(({ parts }) => dynamicImporters.some((opener) => parts.has(opener)))
    const later = within.length > 0 ? within.map(({ room }) => `${room}-${OPENED_LATER}`) : [OPENED_LATER]
    const rooms = [roomOf(id) ?? later].flat()
    for (const part of needs(id)) roomsOf.set(part, [...(roomsOf.get(part) ?? []), ...rooms])
  }
  const shared = [...roomsOf].filter(([part, rooms]) => rooms.length > 1 && !always.has(part))
  return new Map([
    ...shared.map(([part, rooms]) => [part, fileOf(rooms)] as const),
    ...[...always].map((part) => [part, ALWAYS] as const),
  ])
}

const roomOf = (id: string): string | undefined => ROOMS.find(([path]) => path.test(id))?.[1]

function fileOf(rooms: string[]): string {
  const opened = [...new Set(rooms)].filter((room) => room !== OPENED_LATER).sort()
  return opened.length > 0 ? opened.join('-') : OPENED_LATER
}
