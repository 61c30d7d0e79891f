let last = Date.now()

/** The server has answered somebody who is signed in: the session goes on from here. */
export function used(): void {
  last = Date.now()
}

/** When that was last, by this machine’s clock. */
export const lastUsed = (): number => last
