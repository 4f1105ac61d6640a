type Step = [down: number, right: number]

/**
 * Keys of a table that is typed into like a spreadsheet: Enter and the arrows go to the next field that has a place
 * (`data-row`, `data-column`), below the last row with the next column. At the ends of a text the arrows left and right move in it.
 */
export function useSheetKeys(sheet: Ref<HTMLElement | null | undefined>) {
  function field(row: number, column: number): HTMLElement | null {
    return sheet.value?.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`) ?? null
  }

  /** How many rows and columns have places. */
  function size(): [number, number] {
    const fields = [...(sheet.value?.querySelectorAll<HTMLElement>('[data-row]') ?? [])]
    const most = (name: 'row' | 'column') => Math.max(-1, ...fields.map(({ dataset }) => Number(dataset[name]))) + 1
    return [most('row'), most('column')]
  }

  function go(row: number, column: number, [down, right]: Step): void {
    const [rows, columns] = size()
    for (let steps = 0; steps < rows * columns; steps += 1) {
      if (row >= rows) [row, column] = [0, column + 1]
      if (row < 0) [row, column] = [rows - 1, column - 1]
      const next = field(row, column)
      if (next) {
        next.focus()
        if (next instanceof HTMLInputElement || next instanceof HTMLTextAreaElement) next.select()
        return
      }
      ;[row, column] = [row + down, column + right]
    }
  }

  /** Where a key leads from a field; undefined when the key stays in it. */
  function stepOf(event: KeyboardEvent): Step | undefined {
    if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return undefined
    const at = event.target
    if (event.key === 'Enter') return [event.shiftKey ? -1 : 1, 0]
    if (at instanceof HTMLSelectElement) return undefined
    if (event.key === 'ArrowDown') return [1, 0]
    if (event.key === 'ArrowUp') return [-1, 0]
    if (!(at instanceof HTMLInputElement || at instanceof HTMLTextAreaElement)) return undefined
    const selected = at.selectionStart === 0 && at.selectionEnd === at.value.length
    if (event.key === 'ArrowRight' && (selected || at.selectionStart === at.value.length)) return [0, 1]
    if (event.key === 'ArrowLeft' && (selected || at.selectionEnd === 0)) return [0, -1]
    return undefined
  }

  /** Follows a key out of a field; `leaving` is called first. True when it did. */
  function follow(event: KeyboardEvent, row: number, column: number, leaving: () => void = () => {}): boolean {
    const step = stepOf(event)
    if (!step) return false
    event.preventDefault()
    leaving()
    go(row + step[0], column + step[1], step)
    return true
  }

  return { follow }
}
