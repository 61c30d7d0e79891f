import { OF_PEOPLE } from '../../shared/text'
import { Button } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { Link, NavLink } from 'react-router'
import type { Desk } from '../../shared/api'
import { keysOf, type StepDefinition } from '../../shared/desk'
import { useSavingState } from '../../shared/fitting'
import { useAccount, useMayChange } from '../../shared/session'
import { useAnnounce } from '../../shared/ui'
import { useSteps } from '../history'
import { stateOf, stateWords } from './saveState'
import { STEPS } from './steps'
import railStyles from './rail.module.css'
import trailStyles from './trail.module.css'
import { say } from './sentences'

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })

const DAY = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium' })

function OpenCount({ count }: { count: number }) {
  if (count === 0) return null
  return (
    <span className={trailStyles.count}>
      {count}
      <span className="seen-by-readers-only"> {say.open}</span>
    </span>
  )
}

/** Whose desk it is, the steps in the order of the work, and whether all is saved. */
export function Trail(props: {
  desk: Desk
  step: StepDefinition
  along: string
  onHistory: () => void
  onFind: () => void
}) {
  const { desk, step, along, onHistory, onFind } = props
  // Where it is narrow it is one line until it is asked for.
  const [unfolded, setUnfolded] = useState(false)
  const saving = useSavingState()
  const state = stateOf(saving)
  const { undo, redo } = useSteps(desk)
  const mayChange = useMayChange()
  const me = useAccount().name
  const { author, number } = desk.revision
  const announce = useAnnounce()
  const seen = useRef(number)
  // Whoever else saves: it is shown at once, and said.
  useEffect(() => {
    if (seen.current !== number && author !== me) announce(say.savedRevision(author, String(number)))
    seen.current = number
  }, [number, author, me, announce])
  return (
    <header
      className={trailStyles.trail}
      data-pane
      data-folded={!unfolded}
      tabIndex={-1}
      aria-label={say.trail}
    >
      <Link className={trailStyles.back} to="/">
        <span aria-hidden="true">‹ </span>
        {say.clientsAlone}
      </Link>
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what is too long for its line is whole on focus */}
      <div className={trailStyles.who} tabIndex={0} title={`${desk.name}, ${desk.about}`}>
        <h1>{desk.name}</h1>
        <p>{desk.about}</p>
      </div>
      <button
        type="button"
        className={railStyles.unfold}
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
      >
        {step.name} <span aria-hidden="true">{unfolded ? '▴' : '▾'}</span>
      </button>
      <nav aria-label={say.steps}>
        <ol>
          {STEPS.map(({ id, name, open }) => (
            <li key={id}>
              <NavLink to={`/clients/${desk.id}/${id}${along}`}>
                {name}
                <OpenCount count={open(desk.open)} />
              </NavLink>
            </li>
          ))}
        </ol>
      </nav>
      <div className={trailStyles.undo}>
        <Button ghost aria-keyshortcuts={keysOf('find')} onClick={onFind}>
          {say.find}
        </Button>
      </div>
      {mayChange && (
        <div className={trailStyles.undo}>
          <Button
            ghost
            aria-label={say.undo}
            title={say.undo}
            disabled={!undo}
            aria-keyshortcuts={keysOf('undo')}
            onClick={undo}
          >
            <span aria-hidden="true">↶</span>
          </Button>
          <Button
            ghost
            aria-label={say.redo}
            title={say.redo}
            disabled={!redo}
            aria-keyshortcuts={keysOf('redo')}
            onClick={redo}
          >
            <span aria-hidden="true">↷</span>
          </Button>
        </div>
      )}
      <button type="button" className={trailStyles.revision} data-save={state} onClick={onHistory}>
        <strong>{say.revision(String(desk.revision.number), stateWords(saving))}</strong>
        <span>
          <span className={trailStyles.onPaper}>{DAY.format(new Date(desk.revision.created_at))} </span>
          {TIME.format(new Date(desk.revision.created_at))}
          {author !== me && `, ${author}`}
        </span>
      </button>
    </header>
  )
}
