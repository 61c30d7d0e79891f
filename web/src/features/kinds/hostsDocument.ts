import type { Host, ServiceHosts } from '../../shared/api'

type System = Host['system']
type Document = ServiceHosts['document']
type Says = NonNullable<Host['corrected']>

/** One sort of host in the form of the file; what no field stands for stays as it is. */
interface Entry {
  system: System
  shortlist?: { most?: number | null }
  steps?: { most?: number | null }
  keeps?: Says['keeps']
}

const entries = (document: Document) => document.hosts as unknown as Entry[]

/** What it says of a sort, as a host is put right by it. */
export function saysOf(document: Document, system: System): Says {
  const entry = entries(document).find((one) => one.system === system)
  const lines = entry?.shortlist?.most
  const steps = entry?.steps?.most
  return {
    ...(lines ? { lines } : {}),
    ...(steps ? { steps } : {}),
    ...(entry?.keeps ? { keeps: entry.keeps } : {}),
  }
}

/** The document with something else said of a sort. */
export function withSaid(document: Document, system: System, { lines, steps, keeps }: Says): Document {
  const before = entries(document).find((one) => one.system === system)
  const now: Entry = {
    ...before,
    system,
    shortlist: { ...before?.shortlist, most: lines ?? null },
    steps: { ...before?.steps, most: steps ?? null },
    keeps: keeps ?? [],
  }
  const others = entries(document).filter((one) => one.system !== system)
  return { ...document, hosts: [...others, plain(now)] as unknown as Document['hosts'] }
}

/** Without what is said of nothing. */
function plain({ shortlist, steps, keeps, ...rest }: Entry): Entry {
  return {
    ...rest,
    ...(shortlist?.most ? { shortlist } : {}),
    ...(steps?.most ? { steps } : {}),
    ...(keeps?.length ? { keeps } : {}),
  }
}

/** What a file says, where it has what the fields stand for; what is wrong in it the server tells. */
export function fileOf(text: string): Document | undefined {
  try {
    const read = JSON.parse(text) as Partial<Document> | null
    return read?.kippen === 'hosts/1' && Array.isArray(read.hosts) ? (read as Document) : undefined
  } catch {
    return undefined
  }
}
