import type { Language } from '../../model/language.ts';

/** Regions (ISO 3166-2) that have an official name of their own in a language. */
export const REGION_NAMES: Partial<Record<Language, Readonly<Record<string, string>>>> = {
  fr: {
    'CA-AB': 'Alberta',
    'CA-BC': 'Colombie-Britannique',
    'CA-MB': 'Manitoba',
    'CA-NB': 'Nouveau-Brunswick',
    'CA-NL': 'Terre-Neuve-et-Labrador',
    'CA-NS': 'Nouvelle-Écosse',
    'CA-NT': 'Territoires du Nord-Ouest',
    'CA-NU': 'Nunavut',
    'CA-ON': 'Ontario',
    'CA-PE': 'Île-du-Prince-Édouard',
    'CA-QC': 'Québec',
    'CA-SK': 'Saskatchewan',
    'CA-YT': 'Yukon',
  },
};
