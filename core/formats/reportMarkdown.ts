import { unreachable } from '../unreachable'
import type { Block, Report } from '../reports'

/**
 * A report as Markdown (CommonMark with tables). Signs that would mean something there are written so that they do not.
 * @param chart name of the picture file that stands for the graph; its words alone without one
 */
export function reportMarkdown({ title, under, question, blocks }: Report, chart?: string): string {
  const pieces = [
    `# ${plain(title)}`,
    plain(under),
    `**${plain(question)}**`,
    ...blocks.map((block) => blockMarkdown(block, chart)),
  ]
  return `${pieces.filter((piece) => piece !== '').join('\n\n')}\n`
}

function blockMarkdown(block: Block, chart: string | undefined): string {
  switch (block.kind) {
    case 'heading':
      return `## ${plain(block.text)}`
    case 'text':
      return plain(block.text)
    case 'facts':
      return block.rows.map(({ term, text }) => `- **${plain(term)}:** ${plain(text)}`).join('\n')
    case 'list':
      return block.items.map((item) => `- ${plain(item)}`).join('\n')
    case 'table': {
      const row = (cells: string[]) => `| ${cells.map((cell) => plain(cell).replace(/\|/g, '\\|') || ' ').join(' | ')} |`
      const rule = block.head.map((_, place) => (block.figures && place > 0 ? '---:' : '---'))
      return [row(block.head), `| ${rule.join(' | ')} |`, ...block.rows.map(row)].join('\n')
    }
    case 'chart':
      return chart === undefined ? `*${plain(block.words)}*` : `![${plain(block.words).replace(/[[\]]/g, '')}](${chart})`
    case 'quote':
      return `> ${plain(block.text) || '…'}${block.note === '' ? '' : `\n>\n> *${plain(block.note)}*`}`
    default:
      return unreachable(block)
  }
}

/** One line of words that mean themselves. `plain('3 * 4\n<b>') // '3 \\* 4 \\<b>'` */
function plain(text: string): string {
  return text
    .replace(/[ \t\r\n]+/g, ' ')
    .trim()
    .replace(/[\\`*_<>#[\]]/g, '\\$&')
    .replace(/^([-+]|\d+[.)])(?= )/, '\\$1')
}
