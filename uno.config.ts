import presetMini from '@unocss/preset-mini'
import type { UserConfig } from '@unocss/core'

/** Tokens of app/theme/base.css. */
const named = (kind: string, names: string[]) => Object.fromEntries(names.map((name) => [name, `var(--${kind}${name})`]))
const SIZES = ['small', 'body', 'lead', 'title', 'large', 'huge', 'figure', 'clock']
const GAPS = ['hair', 'tight', 'close', 'near', 'wide', 'part', 'block', 'far']
const COLOURS = [
  ...['paper', 'card', 'ink', 'soft', 'line', 'mark', 'panel', 'green', 'on-green', 'green-light', 'green-deep', 'leaf'],
  ...['brass', 'brass-mark', 'brass-light', 'beet', 'beet-light', 'slate', 'slate-light'],
]

/** Small classes for layout, in our own tokens: only those that stand in a template are in the style sheet. */
export default {
  presets: [presetMini({ preflight: false })],
  // Words of the script are no classes.
  extractors: [
    {
      name: 'class attributes',
      extract: ({ code }) => [...code.matchAll(/(?<![:\w-])class="([^"]*)"/g)].flatMap(([, value]) => value!.split(/\s+/)),
    },
  ],
  blocklist: ['grow', 'inline'],
  theme: {
    colors: named('', COLOURS),
    spacing: named('gap-', GAPS),
    fontFamily: named('', ['heading', 'dense']),
    borderRadius: { DEFAULT: 'var(--corner)', ...named('corner-', ['small', 'glass']), full: '50%' },
    zIndex: named('layer-', ['raised', 'cover', 'head', 'notice']),
  },
  rules: [
    [
      /^edge(?:-(top|right|bottom|left))?-([\d.]+)-(.+)$/,
      ([, side, width, colour]: string[]) => ({ [`border${side ? `-${side}` : ''}`]: `${width}px solid var(--${colour})` }),
    ],
    [new RegExp(`^text-(${SIZES.join('|')})$`), ([, size]: string[]) => ({ 'font-size': `var(--type-${size})` })],
    [/^leading-([\d.]+)$/, ([, lines]: string[]) => ({ 'line-height': lines })],
    ['p-block', { padding: 'var(--gap-block)' }],
    ['content-start', { 'align-content': 'start' }],
    ['text-black', { color: '#000' }],
    ['list-none', { 'list-style': 'none' }],
    ['tabular-nums', { 'font-variant-numeric': 'tabular-nums' }],
    ['break-anywhere', { 'overflow-wrap': 'anywhere' }],
    ['as-drawn', { 'forced-color-adjust': 'none' }],
  ],
  // As heavy as a component's own rule, and before it.
  postprocess: (rule: { selector: string }) => {
    rule.selector = `:root ${rule.selector}`
  },
} satisfies UserConfig
