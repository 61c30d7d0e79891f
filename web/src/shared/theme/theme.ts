import { theme as antd, type ThemeConfig } from 'antd'
import { THEMES, type Light } from './colours'

/** The component library in Kippen’s colours. */
export function themeFor(light: Light): ThemeConfig {
  const colours = THEMES[light]
  return {
    algorithm: light === 'dark' ? antd.darkAlgorithm : antd.defaultAlgorithm,
    token: {
      colorPrimary: colours.fill,
      colorInfo: colours.heron,
      colorSuccess: colours.samphire,
      colorWarning: colours.mud,
      colorError: colours.clay,
      colorLink: colours.marsh,
      colorText: colours.ink,
      colorTextBase: colours.ink,
      colorTextSecondary: colours.mudText,
      colorTextTertiary: colours.mudText,
      colorTextPlaceholder: colours.mudText,
      colorBgBase: colours.white,
      colorBgContainer: colours.white,
      colorBgElevated: colours.white,
      colorBgLayout: colours.paper,
      colorBorder: colours.mud,
      colorSplit: colours.line,
      fontFamily: "'Atkinson Hyperlegible Next Variable', 'Kippen Scripts', sans-serif",
      fontSize: 16,
      controlHeight: 44,
      borderRadius: 8,
      wireframe: false,
      // Nothing moves by itself; and where the system asks for that, nothing waits for a movement's end.
      motion: false,
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        fontWeight: 600,
        colorPrimary: colours.fill,
        colorPrimaryHover: colours.fill,
        primaryColor: colours.onFill,
        defaultGhostColor: colours.onBar,
        defaultGhostBorderColor: colours.onBar,
        defaultHoverColor: colours.marsh,
        defaultHoverBorderColor: colours.marsh,
      },
      Alert: { colorInfoBg: colours.marshPale, colorInfoBorder: colours.marsh },
      Form: { itemMarginBottom: 0, verticalLabelPadding: '0 0 4px', labelColor: colours.ink },
      Radio: { buttonSolidCheckedBg: colours.fill, buttonSolidCheckedColor: colours.onFill },
      Select: {
        optionActiveBg: colours.sand,
        optionSelectedBg: colours.marshPale,
        optionSelectedColor: colours.ink,
      },
      Table: {
        headerBg: colours.sand,
        headerColor: colours.ink,
        cellPaddingBlock: 8,
        cellPaddingInline: 9,
      },
    },
  }
}
