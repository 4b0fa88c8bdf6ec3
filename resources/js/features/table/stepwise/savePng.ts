/** A drawing as a PNG file, as wide as it is good to publish. */
export async function savePng(svg: string, name: string) {
  const picture = new Image()
  picture.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  await picture.decode()
  const scale = WIDE / picture.naturalWidth
  const canvas = document.createElement('canvas')
  canvas.width = WIDE
  canvas.height = Math.round(picture.naturalHeight * scale)
  const paper = canvas.getContext('2d')
  if (!paper) return
  paper.fillStyle = '#ffffff'
  paper.fillRect(0, 0, canvas.width, canvas.height)
  paper.drawImage(picture, 0, 0, canvas.width, canvas.height)
  URL.revokeObjectURL(picture.src)
  const link = document.createElement('a')
  link.href = canvas.toDataURL('image/png')
  link.download = name
  link.click()
}

const WIDE = 1600
