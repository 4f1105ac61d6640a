import type { Rollup } from 'vite'

type ModuleInfo = Rollup.ModuleInfo

interface Taken {
  from: string
  name: string
}

/** A statement at the top of a part: what it speaks of, and whether it does something by itself. */
interface Statement {
  speaksOf: Set<string>
  acts: boolean
}

interface Part {
  statements: Statement[]
  byName: Map<string, Statement>
  imports: Map<string, Taken>
  importsWithoutName: string[]
  /** Its own name for what it gives, or what it only hands on. */
  gives: Map<string, string | Taken>
  handsOnAllOf: string[]
}

type Node = { type: string } & Record<string, unknown>

const EVERYTHING = '*'
const DEFAULT = 'default'

/**
 * The parts that each part takes something from, as the bundler leaves them: what nobody speaks of is left out, and a list of
 * names that are only handed on is followed to where they stand. Where it cannot be known, more is taken.
 */
export function edgesOf(infos: ModuleInfo[]): Map<string, Set<string>> {
  const infoOf = new Map(infos.map((info) => [info.id, info]))
  const parts = new Map<string, Part | undefined>()
  const edges = new Map<string, Set<string>>()
  const entered = new Set<string>()
  const kept = new Set<Statement>()
  const asked = new Set<string>()
  const waiting: (() => void)[] = []

  // Reading what nobody comes to would be half of the time.
  function partAt(id: string): Part | undefined {
    if (!parts.has(id)) parts.set(id, infoOf.has(id) ? partOf(infoOf.get(id)!) : undefined)
    return parts.get(id)
  }

  function enter(id: string): void {
    if (entered.has(id)) return
    entered.add(id)
    edges.set(id, new Set())
    const part = partAt(id)
    part?.importsWithoutName.forEach((from) => takes(id, { from, name: '' }))
    part?.statements.filter(({ acts }) => acts).forEach((statement) => keep(id, statement))
  }

  function keep(id: string, statement: Statement): void {
    if (kept.has(statement)) return
    kept.add(statement)
    waiting.push(() => statement.speaksOf.forEach((name) => spokenOf(id, name)))
  }

  function spokenOf(id: string, name: string): void {
    const part = partAt(id)!
    const imported = part.imports.get(name)
    if (imported) takes(id, imported)
    else if (part.byName.has(name)) keep(id, part.byName.get(name)!)
  }

  function takes(id: string, taken: Taken): void {
    for (const from of standsIn(taken)) edges.get(id)!.add(from)
  }

  /** Where what is taken stands; it is kept there. */
  function standsIn({ from, name }: Taken, seen = new Set<string>()): string[] {
    const place = `${from} ${name}`
    if (seen.has(place)) return []
    seen.add(place)
    const part = partAt(from)
    const own = part?.gives.get(name)
    if (typeof own === 'object') return standsIn(own, seen)
    const passed = name === EVERYTHING ? [...(part?.gives.values() ?? [])].filter((one) => typeof one === 'object') : []
    const lists = own === undefined ? (part?.handsOnAllOf.filter((one) => name === EVERYTHING || isGiven(one, name)) ?? []) : []
    const elsewhere = [...passed, ...lists.map((one) => ({ from: one, name }))].flatMap((one) => standsIn(one, seen))
    if (name !== EVERYTHING && lists.length > 0) return elsewhere
    enter(from)
    if (!asked.has(place)) {
      asked.add(place)
      if (own !== undefined) waiting.push(() => spokenOf(from, own))
      else if (name !== '') waiting.push(() => part?.statements.forEach((statement) => keep(from, statement)))
    }
    return [from, ...elsewhere]
  }

  function isGiven(id: string, name: string, seen = new Set<string>()): boolean {
    const part = partAt(id)
    // A list that is handed on whole never hands on what has no name.
    if (!part || name === DEFAULT || seen.has(id)) return false
    seen.add(id)
    return part.gives.has(name) || part.handsOnAllOf.some((one) => isGiven(one, name, seen))
  }

  for (const { id, isEntry, dynamicImporters } of infos) {
    if (isEntry || dynamicImporters.length > 0) standsIn({ from: id, name: EVERYTHING })
    while (waiting.length > 0) waiting.pop()!()
  }
  return edges
}

function partOf({ ast, importedIds }: ModuleInfo): Part {
  const part: Part = {
    statements: [],
    byName: new Map(),
    imports: new Map(),
    importsWithoutName: [],
    gives: new Map(),
    handsOnAllOf: [],
  }
  if (!ast) return { ...part, importsWithoutName: [...importedIds] }
  const body = ast.body as unknown as Node[]
  // The bundler lists what is imported in the order in which it is written, each once.
  const sources = [...new Set(body.flatMap(({ source }) => (source ? [(source as { value: string }).value] : [])))]
  for (const statement of body) {
    const { type, source, specifiers, exported } = statement as { type: string; source?: { value: string }; exported?: unknown } & {
      specifiers?: { type: string; imported?: unknown; local?: unknown; exported?: unknown }[]
    }
    const from = source ? importedIds[sources.indexOf(source.value)] : undefined
    if (from === undefined) addOwn(part, statement)
    else if (type === 'ExportAllDeclaration' && exported) part.gives.set(nameOf(exported), { from, name: EVERYTHING })
    else if (type === 'ExportAllDeclaration') part.handsOnAllOf.push(from)
    else if (type === 'ExportNamedDeclaration')
      for (const one of specifiers!) part.gives.set(nameOf(one.exported), { from, name: nameOf(one.local) })
    else if (specifiers!.length === 0) part.importsWithoutName.push(from)
    else
      for (const one of specifiers!)
        part.imports.set(nameOf(one.local), {
          from,
          name:
            one.type === 'ImportDefaultSpecifier'
              ? DEFAULT
              : one.type === 'ImportNamespaceSpecifier'
                ? EVERYTHING
                : nameOf(one.imported),
        })
  }
  return part
}

function addOwn(part: Part, statement: Node): void {
  const { type, declaration, specifiers = [] } = statement as Node & { declaration?: Node; specifiers?: Record<string, unknown>[] }
  if (type === 'ExportNamedDeclaration' && !declaration) {
    for (const one of specifiers) {
      const name = nameOf(one.local)
      part.gives.set(nameOf(one.exported), part.imports.get(name) ?? name)
    }
    return
  }
  const isDefault = type === 'ExportDefaultDeclaration'
  const own = declaration ?? statement
  const made = { speaksOf: namesIn(own), acts: isDefault ? mayAct(own) : isActing(own) }
  part.statements.push(made)
  for (const name of [...declaredIn(own), ...(isDefault ? [DEFAULT] : [])]) {
    part.byName.set(name, made)
    if (declaration) part.gives.set(name, name)
  }
}

const nameOf = (one: unknown): string => {
  const { name, value } = (one ?? {}) as { name?: string; value?: string }
  return name ?? value ?? EVERYTHING
}

function isActing(statement: Node): boolean {
  if (/^(?:Function|Class)Declaration$/.test(statement.type)) return false
  if (statement.type !== 'VariableDeclaration') return true
  return (statement.declarations as { init?: Node | null }[]).some(({ init }) => init && mayAct(init))
}

/** Whether working it out may do something: calls outside of what is only called later, unless they are marked as doing nothing. */
function mayAct(node: Node): boolean {
  if (/^(?:Arrow)?Function|^ClassDeclaration$/.test(node.type)) return false
  const marked = (node._rollupAnnotations as { type: string }[] | undefined)?.some(({ type }) => type === 'pure')
  if (/^(?:Call|New|TaggedTemplate|Await|Assignment|Update|Import)Expression$/.test(node.type) && !marked) return true
  return childrenOf(node).some(mayAct)
}

function declaredIn(node: Node): string[] {
  if (node.type === 'VariableDeclaration') return (node.declarations as { id: Node }[]).flatMap(({ id }) => [...namesIn(id)])
  return node.id ? [nameOf(node.id)] : []
}

function namesIn(node: Node, found = new Set<string>()): Set<string> {
  if (node.type === 'Identifier') found.add(nameOf(node))
  for (const child of childrenOf(node)) namesIn(child, found)
  return found
}

function childrenOf(node: Node): Node[] {
  return Object.values(node)
    .flatMap((value): unknown => value)
    .filter(
      (value): value is Node => typeof value === 'object' && value !== null && 'type' in value && typeof value.type === 'string',
    )
}
