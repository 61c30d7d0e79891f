import type { ThemeConfig } from 'antd'
import { colours } from './colours'

export const theme: ThemeConfig = {
  token: {
    colorPrimary: colours.marsh,
    colorInfo: colours.heron,
    colorSuccess: colours.samphire,
    colorWarning: colours.mud,
    colorError: colours.clay,
    colorLink: colours.marsh,
    colorTextBase: colours.ink,
    colorTextSecondary: colours.mudText,
    colorTextTertiary: colours.mudText,
    colorTextPlaceholder: colours.mudText,
    colorBgBase: colours.white,
    colorBgLayout: colours.paper,
    colorBorder: colours.mud,
    colorSplit: colours.line,
    fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
    fontSize: 16,
    controlHeight: 44,
    borderRadius: 8,
    wireframe: false,
    // Nothing moves by itself; and where the system asks for that, nothing waits for a movement's end.
    motion: false,
  },
  components: {
    Button: { primaryShadow: 'none', defaultShadow: 'none', fontWeight: 600 },
    Select: { optionActiveBg: colours.sand, optionSelectedBg: colours.marshPale },
    Table: { headerBg: colours.sand, cellPaddingBlock: 8, cellPaddingInline: 9 },
  },
}
