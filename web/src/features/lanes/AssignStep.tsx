import { useCallback, useMemo } from 'react'
import type { DeskNow, InHand, SheetAddress } from '../../shared/desk'
import { chosenOf, type Chosen } from '../assign'
import { later } from '../../shared/ui'
import { CountsOfMode, isWhere, NoWayBack, WhereView } from '../where'
import { Lanes } from './Lanes'
import { ViewSwitch } from './ViewSwitch'

const LanesCompared = later(async () => (await import('./LanesCompared')).LanesCompared, null)

/** What each button does, and where and when something else. */
export function AssignStep({ now }: { now: DeskNow }) {
  return (
    <>
      <NoWayBack desk={now.desk} />
      <Shown now={now} />
    </>
  )
}

function Shown({ now }: { now: DeskNow }) {
  const { desk, address, go, spot, sheet, devices, shown } = now
  const { view, compared } = address
  const chosen = useMemo(() => chosenOf(devices, sheet), [devices, sheet])
  const open = useCallback((next: SheetAddress) => go({ do: 'open', sheet: next }), [go])
  const choose = useCallback(
    ({ button, gesture, also = [] }: Chosen) =>
      open({ of: 'gesture', button: button.ref, gesture, also: also.map((one) => one.ref) }),
    [open],
  )
  const emptyHand = useCallback((hand: InHand | undefined) => go({ do: 'drop', hand }), [go])
  const views = <ViewSwitch view={view} onView={(next) => go({ do: 'view', view: next })} />
  if (compared)
    return (
      <LanesCompared
        desk={desk}
        spot={spot}
        compared={compared}
        onClose={() => go({ do: 'compare', compared: undefined })}
      />
    )
  if (isWhere(view))
    return (
      <WhereView
        desk={desk}
        view={view}
        onView={(next) => go({ do: 'view', view: next })}
        onSheet={open}
        onSpot={(next) => {
          go({ do: 'spot', ...next })
          go({ do: 'view', view: 'lanes' })
        }}
        views={views}
      />
    )
  return (
    <Lanes
      desk={desk}
      devices={shown}
      spot={spot}
      onSpot={(next) => go({ do: 'spot', ...next })}
      chosen={chosen}
      onChoose={choose}
      inHand={address.hand}
      onHand={(hand) => go({ do: 'hand', hand })}
      onHandEmpty={emptyHand}
      onRename={(button) => open({ of: 'rename', button: button.ref })}
      onArrange={() => open({ of: 'arrange' })}
      view={view}
      views={views}
      onNew={(of) => open({ of })}
      above={<CountsOfMode desk={desk} mode={spot.mode} />}
    />
  )
}
