import { lazy } from 'react';

/** The screens of `forms.ts`, each loaded when it is first drawn. */
export const RaiseForm = lazy(async () => ({ default: (await import('./forms.ts')).RaiseForm }));
export const BeginScreen = lazy(async () => ({ default: (await import('./forms.ts')).BeginScreen }));
export const AddForm = lazy(async () => ({ default: (await import('./forms.ts')).AddForm }));
export const AddGood = lazy(async () => ({ default: (await import('./forms.ts')).AddGood }));
export const CheckoutPage = lazy(async () => ({ default: (await import('./forms.ts')).CheckoutPage }));
