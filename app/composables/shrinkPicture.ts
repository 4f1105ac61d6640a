const LONGEST_SIDE = 1400

/**
 * A picture as a JPEG no larger than a projector needs, as a `data:` address. Drawing it anew also leaves behind where and when
 * it was taken.
 */
export async function shrinkPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  const context = canvas.getContext('2d')!
  context.fillStyle = '#ffffff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return canvas.toDataURL('image/jpeg', 0.85)
}
