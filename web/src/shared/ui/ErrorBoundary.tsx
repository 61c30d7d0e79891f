import { Component, type ReactNode } from 'react'
import { PlainButton } from '../plain'
import styles from './ui.module.css'
import { say } from './sentences'

/** Where a part of the page breaks, it says so and what can be done; what was saved is saved. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { broken: Error | undefined }> {
  override state = { broken: undefined as Error | undefined }

  static getDerivedStateFromError(broken: Error) {
    return { broken }
  }

  override render() {
    const { broken } = this.state
    if (!broken) return this.props.children
    return (
      <main className={styles.broken}>
        <h1>{say.somethingThisPageWent}</h1>
        <p role="alert">{say.whatWasSaidSaved(broken.message)}</p>
        <p>
          <PlainButton onClick={() => window.location.reload()}>{say.loadPageAnew}</PlainButton>{' '}
          <a href="/">{say.clients}</a>
        </p>
      </main>
    )
  }
}
