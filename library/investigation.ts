import {
  emptyPlan,
  newMeasure,
  type Condition,
  type Factor,
  type Measure,
  type Method,
  type OnTheCard,
  type Plan,
} from '../core/lesson'

/** What a ready investigation brings along; the class and the groups are the teacher's own. */
export type Investigation = Omit<Plan, 'className' | 'children' | 'groups' | 'date' | 'notes'> & OnTheCard

/** An investigation with what an empty lesson has wherever nothing else is said. */
export function investigation(id: string, change: Partial<Plan> & OnTheCard & { title: string }): Investigation {
  const {
    className: _class,
    children: _children,
    groups: _groups,
    date: _date,
    notes: _notes,
    ...empty
  } = emptyPlan('', 0, () => '')
  return { ...empty, investigation: id, ...change }
}

export function factor(id: string, name: string, how = ''): Factor {
  return { id, name, how, exceptions: {} }
}

export function measure(id: string, name: string, method: Partial<Method>): Measure {
  const fresh = newMeasure(id, name)
  return { ...fresh, method: { ...fresh.method, ...method } }
}

/** Conditions by name; numbers get their name as their id too. */
export function conditions(labels: Record<string, string> | number[]): Condition[] {
  const named = Array.isArray(labels) ? labels.map((value) => [`n${value}`, String(value)] as const) : Object.entries(labels)
  return named.map(([id, label]) => ({ id, label, baseline: false, leftOut: false }))
}
