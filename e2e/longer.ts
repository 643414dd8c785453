import type { Page } from './browser.ts';

/**
 * What a longer language would have cut: each word of the page is made a third longer in place, and the texts are given
 * that a box then hides in part or that leave the window. What people typed, figures, stock numbers and pictures stay as
 * they are, as are the names of products in their table; segments too, which measure their labels before they are drawn. The page has its words back afterwards.
 *
 * `shortened` are names of the merchant's own that may end in dots where there is little room.
 */
export const cutWhenLonger = (page: Page, shortened: readonly string[] = []): Promise<string[]> =>
  page.evaluate((names) => {
    const LONGER = 0.3;
    /** How far the space at the end of a line may hang out, in pixels. */
    const HANGING = 5;
    const NAMES = '[role=gridcell][aria-label^="Product:"]';
    const STAYS = `script, style, svg, button[aria-pressed], ${NAMES}, [aria-hidden=true], [inert]`;
    const isWord = (text: string): boolean => /\p{L}{2}/u.test(text);
    const longer = (text: string): string =>
      text.replace(
        /(?<![\p{L}\d-])[\p{L}’]{3,}(?![\p{L}\d-])/gu,
        (word) => word + word.slice(-Math.ceil(word.length * LONGER)),
      );
    const texts: Text[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node as Text;
      const element = text.parentElement;
      if (!element || !isWord(text.data) || element.closest(STAYS)) continue;
      if (names.includes(text.data)) continue;
      const { width, height } = element.getBoundingClientRect();
      if (width > 1 && height > 1) texts.push(text);
    }

    const rectOf = (text: Text): DOMRect => {
      const range = document.createRange();
      range.selectNodeContents(text);
      return range.getBoundingClientRect();
    };
    /** What hides part of a text, or nothing: what can be scrolled to is not hidden. */
    const hidden = (text: Text): string | null => {
      const rect = rectOf(text);
      const reach = { across: true, down: true };
      for (let at = text.parentElement; at; at = at.parentElement) {
        const { overflowX, overflowY, display, position } = getComputedStyle(at);
        if (display === 'inline') continue;
        const box = at.getBoundingClientRect();
        if (overflowX === 'auto' || overflowX === 'scroll') reach.across = false;
        if (overflowY === 'auto' || overflowY === 'scroll') reach.down = false;
        const isWide = rect.right > box.right + HANGING || rect.left < box.left - HANGING;
        const isHigh = rect.bottom > box.bottom + 2 || rect.top < box.top - 2;
        if (reach.across && overflowX !== 'visible' && isWide) return 'width';
        if (reach.down && overflowY !== 'visible' && isHigh) return 'height';
        if (position === 'fixed') break;
      }
      return reach.across && (rect.right > window.innerWidth + 1 || rect.left < -1) ? 'window' : null;
    };

    const before = new Set(texts.filter((text) => hidden(text) !== null));
    const kept = texts.map((text) => text.data);
    for (const text of texts) text.data = longer(text.data);
    const cut = texts.flatMap((text, at) => {
      const why = before.has(text) ? null : hidden(text);
      return why ? [`${kept[at] ?? ''} (${why})`] : [];
    });
    texts.forEach((text, at) => {
      text.data = kept[at] ?? '';
    });
    return [...new Set(cut)];
  }, shortened);
