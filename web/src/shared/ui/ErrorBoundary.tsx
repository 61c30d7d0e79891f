import { Component, type ReactNode } from 'react'
import styles from './ui.module.css'

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
        <h1>Something on this page went wrong</h1>
        <p role="alert">
          What was said to be saved is saved. Load the page anew; if it breaks again, go back to the clients
          and tell whoever looks after Kippen: {broken.message}
        </p>
        <p>
          <button type="button" onClick={() => window.location.reload()}>
            Load the page anew
          </button>{' '}
          <a href="/">To the clients</a>
        </p>
      </main>
    )
  }
}
