/** A JSON object of one of the formats that Kippen knows, which says itself what it is. */
export type Document = Record<string, unknown>

/** What somebody brings, as far as it must be known to ask the server about it. id – each its own, however alike. */
export type Brought = { id: string; name: string } & (
  | { is: 'fitting' | 'whole' | 'trials'; document: Document }
  | { is: 'trace'; text: string }
  | { is: 'recording'; base64: string }
)

const FORMATS: Readonly<Record<string, 'fitting' | 'whole' | 'trials'>> = {
  'fitting/1': 'fitting',
  'client/1': 'whole',
  'trials/1': 'trials',
}

/** The header of a trace. */
const TRACE = 't_us,'

function base64Of(bytes: Uint8Array): string {
  let text = ''
  // A call takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  return btoa(text)
}

/** What is no document and no trace may be a recording: the server says whether it is one. */
export async function readBrought(file: File): Promise<Brought> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const text = new TextDecoder().decode(bytes)
  const own = { id: crypto.randomUUID(), name: file.name }
  if (text.startsWith(TRACE)) return { ...own, is: 'trace', text }
  const document = documentOf(text)
  const is = document && FORMATS[String(document['kippen'])]
  // One that says nothing of itself, or something else, is told what is wrong with it as a fitting.
  if (document) return { ...own, is: is ?? 'fitting', document }
  return { ...own, is: 'recording', base64: base64Of(bytes) }
}

function documentOf(text: string): Document | undefined {
  try {
    const read: unknown = JSON.parse(text)
    return typeof read === 'object' && read !== null && !Array.isArray(read) ? (read as Document) : undefined
  } catch {
    return undefined
  }
}
