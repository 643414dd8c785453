import type { DeliveryPage } from '../../../core/delivery-page/delivery-page.ts';
import type { CustomerWords } from '../../../core/words/customer/customer-words.ts';
import { fileName, saveBytes, saveFile } from '../../files/files.ts';

/** Saves the delivery page as one HTML file that needs nothing else; `day` goes into its name. */
export const saveDeliveryHtml = async (
  page: DeliveryPage,
  words: CustomerWords,
  day: string,
): Promise<void> => {
  const [{ markedHtml }, { deliveryHtml }] = await Promise.all([
    import('../../parts/marked.tsx'),
    import('../../../core/delivery-page/delivery-html.ts'),
  ]);
  saveFile(
    fileName(page.shop, `delivery-${page.language}`, day, 'html'),
    deliveryHtml(page, words, markedHtml),
  );
};

/** Saves the delivery page as CommonMark. */
export const saveDeliveryMarkdown = async (
  page: DeliveryPage,
  words: CustomerWords,
  day: string,
): Promise<void> => {
  const { deliveryMarkdown } = await import('../../../core/delivery-page/delivery-markdown.ts');
  saveFile(fileName(page.shop, `delivery-${page.language}`, day, 'md'), deliveryMarkdown(page, words));
};

/** Saves the delivery page as a tariff to be printed: a PDF in two columns. */
export const saveDeliveryPdf = async (
  page: DeliveryPage,
  words: CustomerWords,
  day: string,
): Promise<void> => {
  const [{ tariffPdf }, { tariffBlocks }] = await Promise.all([
    import('../../carriers/papers.ts'),
    import('../../../core/delivery-page/tariff.ts'),
  ]);
  const pdf = await tariffPdf({
    title: `${page.shop}: ${words.say('page.title')}`,
    notes: [`${page.amounts} ${words.day(day)} ${day.slice(0, 4)}`],
    blocks: tariffBlocks(page, words),
    foot: (at, pages) => words.say('page.number', { page: at, pages }),
  });
  saveBytes(fileName(page.shop, `delivery-${page.language}`, day, 'pdf'), pdf);
};
