import { useCallback, useMemo } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { mayLeave } from '../ui'
import { moved, readAddress, sameSheet, writeAddress, type DeskAddress, type Move } from './address'

/** Moves that one would not want to come back to by the browser’s own back. */
const IN_PLACE: Move['do'][] = ['close', 'only', 'tuned']

/** Where one is at the desk, and the way to anywhere else; to another step too. */
export function useDeskAddress(): [DeskAddress, (move: Move, step?: string) => void] {
  const { search } = useLocation()
  const navigate = useNavigate()
  const address = useMemo(() => readAddress(search), [search])
  const go = useCallback(
    (move: Move, step?: string) => {
      // As it is now: a sheet may have waited for its save since it was drawn.
      const { pathname, search: now } = window.location
      const next = writeAddress(moved(readAddress(now), move))
      const path = step ? pathname.replace(/[^/]*$/, step) : pathname
      if (next === now && path === pathname) return
      const leave = () => void navigate(path + next, { replace: IN_PLACE.includes(move.do) && !step })
      // A sheet closes itself when it has saved, or has asked.
      if (
        move.do === 'close' ||
        sameSheet(readAddress(now).sheet, readAddress(next).sheet) ||
        mayLeave(leave)
      )
        leave()
    },
    [navigate],
  )
  return [address, go]
}
