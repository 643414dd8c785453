/**
 * Every screen with a form of its own, as one part of the program that is loaded when the first of them is opened. A
 * library that several such parts use is loaded with the first page otherwise: import these from here, and late.
 */
export { default as RaiseForm } from '../parts/raise-form.tsx';
export { default as BeginScreen } from '../screens/begin/begin-screen.tsx';
export { default as AddForm } from '../screens/charges/add-forms.tsx';
export { AddGood } from '../screens/goods/add-good.tsx';
export { CheckoutPage } from '../screens/shopfront/checkout-page.tsx';
