import { Alert } from 'antd'
import type { Finding } from '../../shared/api'
import { Fixes } from '../../shared/findings'

/** Modes that can’t be left again, each with the press that puts it right. */
export function Traps({ found }: { found: Finding[] }) {
  return found.map((one) => (
    <Alert key={one.what} type="error" showIcon title={one.what} action={<Fixes finding={one} />} />
  ))
}
