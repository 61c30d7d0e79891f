import type { ComponentType, ReactNode } from 'react'
import type { Button, Desk, Device } from '../api'
import type { NoticesOf, Spot } from '../fitting'
import type { DeskAddress, Move, SheetAddress } from './address'
import type { CommandId } from './commands'

/** A desk as it is just now: what all its steps and sheets are drawn from. */
export interface DeskNow {
  desk: Desk
  step: string
  address: DeskAddress
  go: (move: Move, step?: string) => void
  /** The place and mode of the address, as far as they are there. */
  spot: Spot
  /** What is open beside; undefined too where whoever looks may not open it. */
  sheet: SheetAddress | undefined
  devices: Device[]
  /** Those of the devices that are shown. */
  shown: Device[]
  /** All buttons of the devices, each by its whole name. */
  buttons: Button[]
}

/** What comes next in the work, and where. */
export interface Lead {
  words: string
  to: string
}

/** A part of the page whose script comes when it is first drawn, or as soon as it is asked for. */
export type Lazy<P> = ComponentType<P> & { begin: () => void }

export type SheetKind = SheetAddress['of']
export type SheetOf<Of extends SheetKind> = Extract<SheetAddress, { of: Of }>

export interface SheetProps<Of extends SheetKind> {
  now: DeskNow
  sheet: SheetOf<Of>
  onClose: () => void
}

export interface SheetDefinition<Of extends SheetKind> {
  View: Lazy<SheetProps<Of>>
  /** In it nothing is changed: whoever only looks may open it too. */
  onlySeen?: true
}

/** What is drawn of each sheet that an address can name: one that has none doesn't compile. */
export type Sheets = { [Of in SheetKind]: SheetDefinition<Of> }

/** A notice of the server, and what is asked anew when it comes. */
export type Notices = NoticesOf

/** A step of the work, whole. */
export interface StepDefinition {
  id: string
  name: string
  /** What leads to it is called, and the sign that does once single keys are switched on. */
  command: string
  single: string
  /** How much of it is still open. */
  open: (open: Desk['open']) => number
  /** What comes after it, where something does. */
  next: (desk: Desk) => Lead | undefined
  View: Lazy<{ now: DeskNow }>
  /** What may stand below in place of the bench, which it is given. */
  Below?: ComponentType<{ now: DeskNow; children: ReactNode }>
  /** The sheets that go when one goes to another step. */
  sheets: Partial<Sheets>
  /** What it can be asked to do, by keys and in the command bar; mayChange – or only look. */
  commands?: (now: Pick<DeskNow, 'go'>, mayChange: boolean) => Partial<Record<CommandId, () => void>>
  notices: Notices
}
