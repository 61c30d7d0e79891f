import { describe, expect, it } from 'vitest'
import { readBrought } from './brought'

const file = (content: string | Uint8Array<ArrayBuffer>, name = 'a') => new File([content], name)

describe('what somebody brings', () => {
  it.each([
    [JSON.stringify({ kippen: 'fitting/1' }), 'fitting'],
    [JSON.stringify({ kippen: 'client/1', revisions: [] }), 'whole'],
    [JSON.stringify({ kippen: 'trials/1' }), 'trials'],
    // What says nothing of itself is told what is wrong with it as a fitting.
    [JSON.stringify({ kippen: 'other/9' }), 'fitting'],
    ['t_us,source,kind,value\n0,a/b,down,\n', 'trace'],
    ['E: 0.000000 0001 001e 0001\n', 'recording'],
    ['[1, 2]', 'recording'],
  ])('%s is %s', async (text, is) => {
    expect((await readBrought(file(text))).is).toBe(is)
  })

  it('keeps every byte of a recording', async () => {
    const bytes = Uint8Array.from({ length: 20_000 }, (_, at) => at % 256)
    const brought = await readBrought(file(bytes))
    if (brought.is !== 'recording') throw new Error(brought.is)
    expect(Uint8Array.from(atob(brought.base64), (sign) => sign.charCodeAt(0))).toEqual(bytes)
  })
})
