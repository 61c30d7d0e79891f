/** What the page has as text, as a file that the browser keeps. */
export function keepAsFile(text: string, name: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: 'text/plain' }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  // Only once the browser has begun to take it.
  setTimeout(() => URL.revokeObjectURL(address), 1000)
}
