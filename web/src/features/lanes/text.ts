const FONTS = {
  name: "600 15px 'Atkinson Hyperlegible Next Variable', sans-serif",
  note: "400 14px 'Atkinson Hyperlegible Next Variable', sans-serif",
}
const MEASURED = new Map<string, number>()
let canvas: CanvasRenderingContext2D | null | undefined

/** How wide words are drawn, in px. Measured beside the page: a hundred lanes laid out to be measured would be slow. */
export function widthOf(words: string, font: keyof typeof FONTS): number {
  const key = `${font} ${words}`
  const known = MEASURED.get(key)
  if (known !== undefined) return known
  canvas ??= document.createElement('canvas').getContext('2d')
  // Where nothing is drawn, as in tests of parts: about as wide as letters are.
  if (!canvas) return words.length * 8
  canvas.font = FONTS[font]
  const width = Math.ceil(canvas.measureText(words).width)
  MEASURED.set(key, width)
  return width
}

/** What was measured before the font was there is wrong. */
export function forgetWidths(): void {
  MEASURED.clear()
}
