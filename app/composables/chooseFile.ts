/** What shrinkPicture can open. */
export const PICTURE_FILES = 'image/png,image/jpeg,image/webp'

/** Lets somebody choose a file of this computer, or take a picture with it. */
export function chooseFile(accept: string, { camera = false } = {}): Promise<File | undefined> {
  return new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    if (camera) input.capture = 'environment'
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
