/** The colours of day and evening, told once: style sheets have them as `var(--ink)`, components as their own tokens. */
const COLOURS = {
  light: {
    ground: '#eae2d3',
    groundDot: '#d6cab5',
    card: '#fbf7ee',
    cardDeep: '#f3ecdf',
    ink: '#27211b',
    inkSoft: '#62574a',
    rule: '#d9cdb9',
    accent: '#1f5563',
    accentStrong: '#143e49',
    accentSoft: '#dbe7e6',
    onAccent: '#fffdf8',
    inside: '#fffcf4',
    outside: '#cfdcd6',
    outsideLine: '#b5c8bf',
    contents: '#f0dfb4',
    contentsLine: '#7a5a12',
    laid: '#e4c3a8',
    glue: '#b98a2f',
    slab: '#c9bda6',
    slabLine: '#8d7f68',
    ruler: '#e9d9ae',
    shadow: '0 1px 2px rgb(60 45 20 / 12%), 0 6px 18px rgb(60 45 20 / 10%)',
    pass: '#38663c',
    note: '#4f5a66',
    warn: '#855100',
    fail: '#a02c18',
    field: '#fffdf8',
    raised: '#fffdf8',
    edge: '#b3a58f',
    placeholder: '#6f6456',
    control: '#1f5563',
  },
  dark: {
    ground: '#191816',
    groundDot: '#2b2824',
    card: '#25221f',
    cardDeep: '#2e2a26',
    ink: '#f2eadc',
    inkSoft: '#b9ad9b',
    rule: '#443e36',
    accent: '#8cc7d1',
    accentStrong: '#b4dfe6',
    accentSoft: '#24393e',
    onAccent: '#10252a',
    inside: '#3a352e',
    outside: '#33423d',
    outsideLine: '#4a5d56',
    contents: '#574720',
    contentsLine: '#e6c879',
    laid: '#6a4a35',
    glue: '#d9ae57',
    slab: '#4a443b',
    slabLine: '#8a7e6c',
    ruler: '#544a30',
    shadow: '0 1px 2px rgb(0 0 0 / 40%), 0 8px 22px rgb(0 0 0 / 35%)',
    pass: '#8cc892',
    note: '#b3bdc8',
    warn: '#e9b45c',
    fail: '#ff9480',
    field: '#2b2723',
    raised: '#302b27',
    edge: '#6d6355',
    placeholder: '#a99d8b',
    control: '#76b8c4',
  },
} as const;
export type Colour = keyof (typeof COLOURS)['light'];
export type Light = keyof typeof COLOURS;

const cssName = (name: string): string => `--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;
const variables = (light: Light): string =>
  Object.entries(COLOURS[light])
    .map(([name, value]) => `${cssName(name)}:${value}`)
    .join(';');

/**
 * The colours as custom properties, for both kinds of light. Paper is lit in the evening too, so what is drawn on it keeps the
 * inks of the day.
 */
export const COLOURS_CSS = `:root{${variables('light')};--paper-lit:100%}:root[data-theme='dark']{${variables('dark')};--paper-lit:86%}:root[data-theme='dark'] .on-paper{${variables('light')}}`;

/** The same for the component library. */
export function componentTokens(light: Light): Readonly<Record<string, string>> {
  const colour: Readonly<Record<Colour, string>> = COLOURS[light];
  return {
    colorPrimary: colour.control,
    colorLink: colour.accent,
    colorText: colour.ink,
    colorTextSecondary: colour.inkSoft,
    colorTextPlaceholder: colour.placeholder,
    colorBgContainer: colour.field,
    colorBgElevated: colour.raised,
    colorBorder: colour.edge,
    colorError: colour.fail,
    colorErrorText: colour.fail,
    colorSuccess: colour.pass,
    colorWarning: colour.warn,
    colorInfo: colour.control,
    controlItemBgActive: colour.accentSoft,
    colorInfoBg: colour.accentSoft,
    colorInfoBorder: colour.rule,
    // What stands on a lit button in the evening is darker than on a card.
    ...(light === 'dark' ? { colorTextLightSolid: '#06181c' } : {}),
  };
}
