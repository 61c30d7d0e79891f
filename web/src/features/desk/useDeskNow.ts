import { useCallback, useMemo } from 'react'
import type { Desk, Device } from '../../shared/api'
import { useDeskAddress, type DeskAddress, type DeskNow } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { SHEETS } from './steps'

/** A desk as its address has it. */
export function useDeskNow(desk: Desk, step: string): DeskNow {
  const [address, go] = useDeskAddress()
  const mayChange = useMayChange()
  const devices = useMemo(() => desk.hosts.flatMap((host) => host.devices), [desk])
  const buttons = useMemo(
    () =>
      devices.flatMap((device) => device.buttons.map((button) => ({ ...button, name: button.full_name }))),
    [devices],
  )
  const spot = useSpot(desk, address)
  const shown = useShown(devices, address.only)
  // A link leads who only looks to the step, not to a sheet in which things are changed.
  const sheet =
    address.sheet && (mayChange || 'onlySeen' in SHEETS[address.sheet.of]) ? address.sheet : undefined
  return useMemo(
    () => ({ desk, step, address, go, spot, sheet, devices, shown, buttons }),
    [desk, step, address, go, spot, sheet, devices, shown, buttons],
  )
}

/** Closes the sheet that was open then: by the time it has saved, another may be. */
export function useClose({ go, sheet }: DeskNow) {
  return useCallback(() => go({ do: 'close', sheet }), [go, sheet])
}

/** The same for as long as it is the same: a hundred lanes hang on it. */
function useShown(devices: Device[], only: string[]): Device[] {
  const chosen = only.join(',')
  return useMemo(() => {
    const shown = devices.filter((device) => chosen.split(',').includes(device.id))
    return shown.length > 0 ? shown : devices
  }, [devices, chosen])
}

/** The place and mode of the address, as far as they are there. */
function useSpot(desk: Desk, { place, mode }: DeskAddress) {
  const placeThere = desk.places.some((one) => one.id === place) ? place : 'everywhere'
  const modeThere = desk.modes.some((one) => one.id === mode) ? mode : 'base'
  return useMemo(() => ({ place: placeThere, mode: modeThere }), [placeThere, modeThere])
}
