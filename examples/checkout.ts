import { quoteClient, QuoteRefused, type QuoteAnswer } from './client.ts';

/** Where the quote service is: the page is opened as /?service=http://127.0.0.1:4310. */
const SERVICE = new URLSearchParams(location.search).get('service') ?? 'http://127.0.0.1:4310';
const POT = 'pot-26';

const element = (tag: string, text: string, ...inside: HTMLElement[]): HTMLElement => {
  const made = document.createElement(tag);
  made.textContent = text;
  made.append(...inside);
  return made;
};

/** An amount in minor units as the customer's language writes it. */
const amountIn = (currency: string, language: string) => {
  const format = new Intl.NumberFormat(language, { style: 'currency', currency });
  const digits = format.resolvedOptions().maximumFractionDigits ?? 2;
  return (amount: number): string => format.format(amount / 10 ** digits);
};

const shown = ({ currency, language, choices, reasons }: QuoteAnswer): HTMLElement[] => {
  const amount = amountIn(currency, language);
  const offered = choices.map(({ name, charge, note }) =>
    element('li', `${name}: ${amount(charge)}`, element('small', note ?? '')),
  );
  if (offered.length > 0) return [element('h2', 'Delivery options'), element('ul', '', ...offered)];
  const why = Object.values(reasons).map((one) => element('li', `${one.why} ${one.help}`));
  return [element('h2', 'This order cannot be placed'), element('ul', '', ...why)];
};

const ask = async (form: FormData): Promise<HTMLElement[]> => {
  const text = (name: string): string => String(form.get(name) ?? '');
  const client = quoteClient({ origin: SERVICE, shop: 'demo', language: text('language') });
  try {
    return shown(
      await client.quote({
        destination: { country: text('country'), postalCode: text('postalCode') },
        lines: [{ sku: POT, quantity: Number(text('quantity')) }],
        placedAt: new Date().toISOString(),
      }),
    );
  } catch (error) {
    const alert = element(
      'p',
      error instanceof QuoteRefused ? error.message : 'The shop cannot be reached. Try again in a moment.',
    );
    alert.setAttribute('role', 'alert');
    return [alert];
  }
};

document.querySelector('#order')?.addEventListener('submit', (event) => {
  event.preventDefault();
  const answer = document.querySelector('#answer');
  void ask(new FormData(event.target as HTMLFormElement)).then((parts) => answer?.replaceChildren(...parts));
});
