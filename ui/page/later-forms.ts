// The one way up from a floor: loaded late, and from here alone.
/* eslint-disable import-x/no-restricted-paths */
import { lazy } from 'react';

/** The screens of `forms.ts`, each loaded when it is first drawn. */
export const RaiseForm = lazy(async () => ({ default: (await import('../screens/forms.ts')).RaiseForm }));
export const BeginScreen = lazy(async () => ({ default: (await import('../screens/forms.ts')).BeginScreen }));
export const AddForm = lazy(async () => ({ default: (await import('../screens/forms.ts')).AddForm }));
export const AddGood = lazy(async () => ({ default: (await import('../screens/forms.ts')).AddGood }));
export const CheckoutPage = lazy(async () => ({
  default: (await import('../screens/forms.ts')).CheckoutPage,
}));
