import type { ThemeConfig } from 'antd';
import { theme } from 'antd';
import { FONTS, palette, type Scheme } from './palette';

export function themeFor(scheme: Scheme): ThemeConfig {
  const c = palette[scheme];
  return {
    zeroRuntime: true,
    hashed: false,
    algorithm: scheme === 'dark' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: c.plant,
      colorInfo: c.plant,
      colorError: c.trouble,
      colorText: c.ink,
      colorTextBase: c.ink,
      colorBgContainer: c.paper,
      colorBgElevated: c.paper,
      colorBgLayout: c.ground,
      colorBorder: c.rule,
      borderRadius: 3,
      fontSize: 15,
      fontFamily: FONTS.text,
      controlHeight: 34,
      motionDurationMid: '0.12s',
      colorTextPlaceholder: c.quiet,
      motion: !window.matchMedia('(prefers-reduced-motion: reduce)').matches,
      colorTextLightSolid: scheme === 'dark' ? '#10251d' : '#ffffff',
    },
  };
}

export function applyPalette(scheme: Scheme): void {
  const root = document.documentElement;
  root.dataset.scheme = scheme;
  for (const [name, value] of Object.entries(palette[scheme])) root.style.setProperty(`--${name}`, value);
}

export function applyFonts(): void {
  for (const [name, value] of Object.entries(FONTS)) document.documentElement.style.setProperty(`--${name}-font`, value);
}
