/** The page of the proof and its short form, loaded together. */
export { default as ProofScreen } from './proof-screen.tsx';
export { ProofSummary } from './proof-summary.tsx';
