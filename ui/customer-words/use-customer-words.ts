import type { DisplayFormat } from '../../core/words/figure.ts';
import type { Language } from '../../core/model/language.ts';
import type { CustomerWords } from '../../core/words/customer/customer-words.ts';
import { selectShopBook, selectShopLanguage } from '../state/shop-language.ts';
import { selectServedDisplayFormat } from '../state/served.ts';
import { useAppSelector } from '../state/store.ts';

type Format = DisplayFormat & { currency: string };

/** How to speak each language, for a shop's currency and units. */
export type SpeakerOf = (language: Language, format: Format) => CustomerWords;

const load = async (): Promise<SpeakerOf> => {
  const { customerWords } = await import('../language/speakers.ts');
  const made = new Map<string, CustomerWords>();
  return (language, format) => {
    const key = [language, format.currency, format.units].join(' ');
    const words = made.get(key) ?? customerWords(language, format);
    made.set(key, words);
    return words;
  };
};

let loading: Promise<SpeakerOf> | null = null;
let loaded: SpeakerOf | null = null;
let failure: unknown = null;

/** The texts of the customer's side, which come in a part of their own when they are first needed. */
export const loadCustomerWords = async (): Promise<SpeakerOf> => {
  loading ??= load();
  try {
    loaded = await loading;
    failure = null;
    return loaded;
  } catch (error) {
    loading = null;
    failure = error;
    throw error;
  }
};

/** How the shopfront speaks to its customer; the page waits until the texts are here, and fails where they did not arrive. */
export const useCustomerWords = (): CustomerWords => {
  if (failure !== null) throw failure;
  // Thrown, not used: what is loaded while the page waits would leave out a call of `use` that React counts on.
  if (!loaded) throw loadCustomerWords();
  const speakerOf = loaded;
  const { currency } = useAppSelector(selectShopBook).store;
  const display = useAppSelector(selectServedDisplayFormat);
  return speakerOf(useAppSelector(selectShopLanguage), { ...display, currency });
};
