/**
 * Every screen with a form of its own, as one part of the program that is loaded when the first of them is opened. A
 * library that several such parts use is loaded with the first page otherwise: import these from here, and late.
 */
export { default as RaiseForm } from '../fields/raise-form.tsx';
export { default as BeginScreen } from './begin/begin-screen.tsx';
export { default as AddForm } from './charges/add-forms.tsx';
export { AddGood } from './goods/add-good.tsx';
export { CheckoutPage } from './shopfront/checkout-page.tsx';
