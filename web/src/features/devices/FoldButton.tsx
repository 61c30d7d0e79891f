import { Button } from 'antd'
import type { ReactNode } from 'react'

interface Props {
  open: boolean
  /** Of which device. */
  about: string
  onOpen: (open: boolean) => void
  /** What it is called, with the device; what stands on it is a part of that. */
  title: string
  children: string
}

/** Opens something below, and closes it again. */
export function FoldButton({ open, about, onOpen, title, children }: Props): ReactNode {
  return (
    <Button aria-expanded={open} aria-label={`${title}, ${about}`} onClick={() => onOpen(!open)}>
      {children} <span aria-hidden="true">{open ? '▴' : '▾'}</span>
    </Button>
  )
}
