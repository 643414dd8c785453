/** The page Check and its short form, loaded together. */
export { default as CheckScreen } from './check-screen.tsx';
export { CheckSummary } from './check-summary.tsx';
