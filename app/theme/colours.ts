/** The colours of the prep room; the same values stand as custom properties in base.css. */
export const jollyTheme = {
  dark: false,
  colors: {
    background: '#FAF7F0',
    surface: '#FFFFFF',
    primary: '#0F5C4D',
    secondary: '#B7791F',
    error: '#8C1D4F',
    info: '#2F5F8A',
    success: '#2E7D32',
    warning: '#8A5A12',
    'on-background': '#1E2B2F',
    'on-surface': '#1E2B2F',
  },
}

export const projectorTheme = {
  dark: true,
  colors: {
    background: '#14201F',
    surface: '#1C2B2A',
    primary: '#7FD1BC',
    secondary: '#F0C36B',
    error: '#F29BC1',
    info: '#9CC6EE',
    success: '#8FD694',
    warning: '#F0C36B',
    'on-background': '#F5F1E6',
    'on-surface': '#F5F1E6',
  },
}
