import { unreachable } from '../unreachable'
import type { Block, Report } from '../reports'

const STYLE = `
body { max-width: 46rem; margin: 2rem auto; padding: 0 1rem; color: #1e2b2f; background: #fff; font: 17px/1.45 Andika, Verdana, sans-serif; }
h1 { margin-bottom: 0; } .under { margin-top: 0; color: #51636a; } .question { font-size: 1.25em; font-weight: 700; }
dl { display: grid; grid-template-columns: 11rem 1fr; gap: .2rem 1rem; } dt { font-weight: 700; } dd { margin: 0; }
table { width: 100%; border-collapse: collapse; } th, td { padding: .3rem .5rem; border-bottom: 1px solid #ddd6c8; text-align: left; vertical-align: top; }
.figure { text-align: right; white-space: nowrap; } caption { text-align: left; color: #51636a; }
blockquote { margin: .5rem 0; padding: .6rem 1rem; border: 1.5px solid #1e2b2f; border-radius: 6px; font-size: 1.15em; }
figure { margin: 1rem 0; } figure svg { width: 100%; height: auto; }
`

/**
 * A report as one HTML document that needs nothing else: its style and its graph are in it.
 * @param chartOf the graph of a measure as an SVG document, made by this application
 */
export function reportHtml(
  { title, under, question, blocks }: Report,
  chartOf?: (measure: string | null, group?: string) => string | undefined,
): string {
  return `<!doctype html>
<html lang="en-GB">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<h1>${escaped(title)}</h1>
<p class="under">${escaped(under)}</p>
<p class="question">${escaped(question)}</p>
${blocks.map((block) => blockHtml(block, chartOf)).join('\n')}
</body>
</html>
`
}

function blockHtml(block: Block, chartOf: ((measure: string | null, group?: string) => string | undefined) | undefined): string {
  switch (block.kind) {
    case 'heading':
      return `<h2>${escaped(block.text)}</h2>`
    case 'text':
      return `<p>${escaped(block.text)}</p>`
    case 'facts':
      return `<dl>${block.rows.map(({ term, text }) => `<dt>${escaped(term)}</dt><dd>${escaped(text)}</dd>`).join('')}</dl>`
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${escaped(item)}</li>`).join('')}</ul>`
    case 'table': {
      const kind = (place: number) => (block.figures && place > 0 ? ' class="figure"' : '')
      const head = block.head.map((cell, place) => `<th scope="col"${kind(place)}>${escaped(cell)}</th>`).join('')
      const rows = block.rows.map(
        ([first = '', ...cells]) =>
          `<tr><th scope="row">${escaped(first)}</th>${cells.map((cell, place) => `<td${kind(place + 1)}>${escaped(cell)}</td>`).join('')}</tr>`,
      )
      return `<table><caption>${escaped(block.caption)}</caption><thead><tr>${head}</tr></thead><tbody>${rows.join('')}</tbody></table>`
    }
    case 'chart':
      return `<figure role="img" aria-label="${escaped(block.words)}">${chartOf?.(block.measure, block.group) ?? ''}</figure>`
    case 'quote':
      return `<blockquote>${escaped(block.text) || '…'}${block.note === '' ? '' : `<br><small>${escaped(block.note)}</small>`}</blockquote>`
    default:
      return unreachable(block)
  }
}

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' }

function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => SIGNS[sign]!)
}
