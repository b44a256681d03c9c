/** The drawing as a PNG file, as it is on the screen, its styles and letters with it. */

const PIXELS = 2 // per pixel of the screen: sharp in print
const STYLES = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-size',
  'font-weight',
  'font-family',
  'text-anchor',
  'paint-order',
  'font-variant-numeric',
  'vector-effect',
]

/** Save what `svg` shows under a plain file name. */
export async function savePng(svg: SVGSVGElement, title: string): Promise<void> {
  const url = await pngOf(svg)
  const link = document.createElement('a')
  link.href = url
  link.download = `${
    title
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'bench'
  }.png`
  link.click()
}

async function pngOf(svg: SVGSVGElement): Promise<string> {
  const copy = styled(svg)
  const { width, height } = svg.getBoundingClientRect()
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  const fonts = document.createElementNS('http://www.w3.org/2000/svg', 'style')
  fonts.textContent = await ownFonts()
  copy.prepend(fonts)
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = width * PIXELS
  canvas.height = height * PIXELS
  const ink = canvas.getContext('2d')!
  ink.fillStyle = getComputedStyle(svg.parentElement!).backgroundColor
  ink.fillRect(0, 0, canvas.width, canvas.height)
  ink.drawImage(image, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/png')
}

/** A copy that carries its computed styles: outside the page there is no style sheet. */
function styled(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')]
  from.forEach((element, i) => {
    const style = getComputedStyle(element)
    const own = STYLES.map((name) => `${name}:${style.getPropertyValue(name)}`).join(';')
    to[i]!.setAttribute('style', own)
  })
  return copy
}

/** The application's own letters, written into the picture. */
async function ownFonts(): Promise<string> {
  const faces = [...document.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].filter((rule) => rule instanceof CSSFontFaceRule),
  )
  const inlined = await Promise.all(
    faces.map(async ({ cssText }) => {
      const address = /url\("?([^")]+\.woff2)"?\)/.exec(cssText)?.[1]
      if (!address || !/latin-(400|600)/.test(address)) return ''
      const bytes = new Uint8Array(await (await fetch(address)).arrayBuffer())
      const text = bytes.reduce((so_far, byte) => so_far + String.fromCharCode(byte), '')
      return cssText.replace(/src:[^;]+/, `src:url(data:font/woff2;base64,${btoa(text)})`)
    }),
  )
  return inlined.join('')
}
