import type { CustomerWords } from '../words/customer/customer-words.ts';
import type { DeliveryPage, PageLine } from './delivery-page.ts';

/** A text of the merchant's in a line of CommonMark, its marks taken as they are written. */
const escaped = (text: string): string => text.replace(/[\\`*_[\]<>#|]/g, '\\$&');

const lineText = ({ name, price, notes }: PageLine): string =>
  `- **${escaped(name)}**: ${[price, ...notes].map(escaped).join(' · ')}`;

const section = (title: string, blocks: readonly string[]): string[] =>
  blocks.length === 0 ? [] : [`## ${title}`, ...blocks];

/** The page as CommonMark. */
export const deliveryMarkdown = (page: DeliveryPage, { say }: CustomerWords): string =>
  [
    `# ${escaped(page.shop)}: ${say('page.title')}`,
    page.amounts,
    ...section(
      say('page.shipped'),
      page.zones.flatMap(({ places, lines }) => [`### ${escaped(places)}`, lines.map(lineText).join('\n')]),
    ),
    ...section(
      say('page.delivered'),
      page.areas.flatMap(({ name, where, lines, notes, instructions }) => [
        `### ${escaped(name)}`,
        escaped(where),
        lines.map(lineText).join('\n'),
        ...(notes.length > 0 ? [escaped(notes.join(' · '))] : []),
        ...(instructions === '' ? [] : [instructions]),
      ]),
    ),
    ...section(
      say('page.collected'),
      page.points.flatMap(({ name, price, notes, address, week, instructions }) => [
        `### ${escaped(name)}`,
        escaped([price, ...notes].join(' · ')),
        escaped(address.join(', ')),
        ...(week === '' ? [] : [say('page.open', { hours: week })]),
        ...(instructions === '' ? [] : [instructions]),
      ]),
    ),
    ...section(say('page.abroad'), page.duties),
    ...section(
      say('page.closed'),
      page.closed.length === 0
        ? []
        : [page.closed.map(({ name, days }) => `- ${escaped(name)}: ${days.join(', ')}`).join('\n')],
    ),
  ].join('\n\n') + '\n';
