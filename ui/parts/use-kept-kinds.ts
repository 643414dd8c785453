import { useRef } from 'react';

/**
 * Remembers what a value was under each of its kinds while its fields are open, so that looking at another kind costs
 * nothing: gives what it last was as a kind, or else what it is to begin with.
 */
export const useKeptKinds = <T extends { kind: string }>(
  value: T,
): (<K extends T['kind']>(kind: K, first: () => Extract<T, { kind: K }>) => Extract<T, { kind: K }>) => {
  const kept = useRef(new Map<string, T>());
  kept.current.set(value.kind, value);
  return <K extends T['kind']>(kind: K, first: () => Extract<T, { kind: K }>) =>
    (kept.current.get(kind) as Extract<T, { kind: K }> | undefined) ?? first();
};
