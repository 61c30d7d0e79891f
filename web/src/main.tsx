import './shared/theme/global.css'
import { speak } from './shared/text/catalogue'
import { startLight } from './shared/theme/light'

startLight()

/** The client's own device gets what it needs and no more: it may be a phone on a slow way. */
const entry = async () =>
  window.location.pathname === '/join' ? await import('./joinApp') : await import('./deskApp')

// What is said is read as the parts of the page are.
void speak()
  .then(entry)
  .then(({ start }) => {
    const root = document.getElementById('root')
    if (!root) throw new Error('The page has no root element.')
    start(root)
  })
