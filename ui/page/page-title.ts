import { useEffect } from 'react';

/** Names the page for the browser's tabs, its history and screen readers: its heading, and whose page it is. */
export const usePageTitle = (heading: string, of: string): void => {
  useEffect(() => {
    if (typeof document !== 'undefined') document.title = `${heading} · ${of}`;
  }, [heading, of]);
};
