/** Reads a chosen file as text. */
export function chooseTextFile(accept: string): Promise<string | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    input.onchange = async () => resolve(await input.files?.[0]?.text())
    input.oncancel = () => resolve(undefined)
    input.click()
  })
}
