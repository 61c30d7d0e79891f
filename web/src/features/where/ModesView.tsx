import { Button } from 'antd'
import { Fragment } from 'react'
import type { Where } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import type { Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Nothing } from '../../shared/ui'
import { ModeCard, Ways } from './ModeCard'
import { say } from './sentences'
import styles from './where.module.css'
import modesStyles from './modes.module.css'

interface Props {
  where: Where
  onSheet: (sheet: SheetAddress) => void
  onSpot: (spot: Spot) => void
}

/** The modes of a client, each with how one gets in and out. */
export function ModesView({ where, onSheet, onSpot }: Props) {
  const mayChange = useMayChange()
  return (
    <>
      <div className={styles.bar}>
        <p>{say.modesAbout}</p>
        {mayChange && (
          <>
            <Button onClick={() => onSheet({ of: 'new-mode' })}>{say.addMode}</Button>
            <Button onClick={() => onSheet({ of: 'count' })}>{say.holdAndCount}</Button>
          </>
        )}
      </div>
      {where.modes.length === 0 && <Nothing>{say.noModeYet}</Nothing>}
      {where.modes.length > 0 && (
        <div className={modesStyles.map}>
          <p className={modesStyles.state} style={{ gridRowEnd: `span ${String(where.modes.length)}` }}>
            {say.asUsual}
          </p>
          {where.modes.map((mode) => (
            <Fragment key={mode.id}>
              <Ways mode={mode} />
              <ModeCard
                mode={mode}
                onChange={() =>
                  onSheet(
                    mode.shortlist ? { of: 'shortlist', id: mode.shortlist } : { of: 'mode', id: mode.id },
                  )
                }
                onGive={() =>
                  onSheet(
                    mode.shortlist
                      ? { of: 'open-shortlist', id: mode.shortlist }
                      : { of: 'take-mode', id: mode.id },
                  )
                }
                onShow={() => onSpot({ place: 'everywhere', mode: mode.id })}
              />
            </Fragment>
          ))}
        </div>
      )}
      {where.carried.length > 0 && (
        <p className={modesStyles.quiet}>
          {where.carried
            .map((one) =>
              one.most === null
                ? say.carries(one.name, one.modes.length)
                : say.carriesOf(one.name, one.modes.length, one.most),
            )
            .join(' · ')}
        </p>
      )}
    </>
  )
}
