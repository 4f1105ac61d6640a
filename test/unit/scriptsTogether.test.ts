import { parseAst, type Rollup } from 'vite'
import { expect, test } from 'vitest'
import { scriptsTogether } from '../../scripts/bundle/scriptsTogether'

/** An application of a few parts, each with what is written in it; what a page opens later it opens with `import()`. */
function house(written: Record<string, string>) {
  const opened = Object.values(written).flatMap((code) =>
    [...code.matchAll(/import\('(?<part>[^']+)'\)/g)].map(({ groups }) => groups!.part!),
  )
  const infos = Object.entries(written).map(([id, code]) => ({
    id,
    ast: parseAst(code),
    isEntry: id === 'entry',
    exports: [...code.matchAll(/export const (?<name>\w+)/g)].map(({ groups }) => groups!.name!),
    importedIds: [...new Set([...code.matchAll(/(?:from|import) '(?<part>[^']+)'/g)].map(({ groups }) => groups!.part!))],
    dynamicImporters: opened.includes(id) ? ['entry'] : [],
  }))
  return {
    getModuleIds: () => infos.map(({ id }) => id)[Symbol.iterator](),
    getModuleInfo: (id: string) => (infos.find((one) => one.id === id) as unknown as Rollup.ModuleInfo | undefined) ?? null,
  }
}

test('what the same rooms need is one file, and a list of names brings along only what is taken of it', () => {
  const station = '/app/pages/station.vue'
  const plan = '/app/components/plan/PlanStop.vue'
  const kit = '/app/components/kit/KitStop.vue'
  const parts = house({
    entry: `import { frame } from 'frame'; import('${station}'); import('${plan}'); import('${kit}'); import('drawer'); export const app = frame`,
    frame: 'export const frame = 1',
    names: "export { read } from 'read'; export * from 'packed'; export { drawn as picture } from 'drawn'",
    read: "import { unit } from 'unit'; export const read = unit",
    unit: 'export const unit = 1',
    packed: 'export const pack = 1',
    drawn: 'export const drawn = 1',
    [station]: "import { read } from 'names'; export const station = read",
    [plan]: "import { read, pack } from 'names'; import { frame } from 'frame'; export const plan = [read, pack, frame]",
    [kit]: "import { pack } from 'names'; export const kit = pack",
    drawer: "import { picture } from 'names'; export const drawer = picture",
  })
  expect(scriptsTogether('frame', parts)).toBe('always')
  for (const part of ['read', 'unit']) expect(scriptsTogether(part, parts), part).toBe('station-stop')
  expect(scriptsTogether('packed', parts)).toBe('stop')
  for (const alone of ['drawn', station, plan, 'names']) expect(scriptsTogether(alone, parts), alone).toBeUndefined()
})
