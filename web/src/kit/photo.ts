/** A picture made small enough to keep: as JPEG in base64, its longer side at most 1000 pixels. */
const MOST_PX = 1000
const QUALITY = 0.8

export async function shrunk(file: File): Promise<string> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, MOST_PX / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/jpeg', QUALITY).split(',')[1]!
}
