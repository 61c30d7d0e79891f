import './shared/theme/global.css'
import { startLight } from './shared/theme/light'

startLight()

/** The client's own device gets what it needs and no more: it may be a phone on a slow way. */
const entry = window.location.pathname === '/join' ? import('./joinApp') : import('./deskApp')
void entry.then(({ start }) => {
  const root = document.getElementById('root')
  if (!root) throw new Error('The page has no root element.')
  start(root)
})
