/** Lets somebody choose a file of this computer. */
export function chooseFile(accept: string): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    input.onchange = () => resolve(input.files?.[0])
    input.oncancel = () => resolve(undefined)
    input.click()
  })
}

/** Reads a chosen file as text. */
export async function chooseTextFile(accept: string): Promise<string | undefined> {
  return (await chooseFile(accept))?.text()
}

/** The bytes of a file in base 64. */
export function asBase64(file: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''))
    reader.onerror = () => reject(reader.error ?? new Error('not readable'))
    reader.readAsDataURL(file)
  })
}
