import type { SVGProps } from 'react'
import type { Drawing, Shape } from '../api'
import styles from './ui.module.css'

function Outline({ shape, ...rest }: { shape: Shape } & SVGProps<SVGElement>) {
  const more = rest as Record<string, unknown>
  if (shape.rect) {
    const [x, y, width, height, radius] = shape.rect
    return <rect x={x} y={y} width={width} height={height} rx={radius} {...more} />
  }
  if (shape.ellipse) {
    const [cx, cy, rx, ry] = shape.ellipse
    return <ellipse cx={cx} cy={cy} rx={rx} ry={ry} {...more} />
  }
  return <path d={shape.path ?? ''} {...more} />
}

interface Props {
  drawing: Drawing | null
  height: number
  /** Buttons of the device, by id: which are down, which is meant. */
  down?: readonly string[]
  chosen?: string | undefined
}

const PLAIN: Drawing = { box: [60, 60], outline: [{ rect: [4, 10, 52, 40, 8] }], buttons: [] }

/** A plain outline with its buttons, from the kind's own data. Says nothing: the words stand beside it. */
export function DeviceDrawing({ drawing, height, down = [], chosen }: Props) {
  const { box, outline, buttons } = drawing ?? PLAIN
  const [wide = 1, high = 1] = box
  return (
    <svg
      className={styles.drawing}
      width={(height * wide) / high}
      height={height}
      viewBox={`-2 -2 ${String(wide + 4)} ${String(high + 4)}`}
      aria-hidden="true"
    >
      {outline.map((shape, index) => (
        <Outline key={index} shape={shape} className={styles.outline} />
      ))}
      {buttons.map(({ id, at }) => (
        <Outline
          key={id}
          shape={at}
          className={styles.button}
          data-down={down.includes(id)}
          data-chosen={id === chosen}
        />
      ))}
    </svg>
  )
}
