import { useSyncExternalStore } from 'react';

/** A router for tests: one address that the screens read and set, in place of expo-router's. */
export interface Address {
  pathname: string;
  params: Record<string, string | undefined>;
}

let address: Address = { pathname: '/charges', params: {} };
const listeners = new Set<() => void>();

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Where the screens are. */
export const currentAddress = (): Address => address;

/** Goes somewhere, as a link or the browser would. */
export const goTo = (next: Partial<Address> | string): void => {
  address =
    typeof next === 'string' ? { pathname: next, params: {} } : { pathname: '/charges', params: {}, ...next };
  for (const listener of listeners) listener();
};

/** Changes some of what the address says, in its place. */
const setParams = (params: Address['params']): void =>
  goTo({ ...address, params: { ...address.params, ...params } });

export const useRouter = () => ({ navigate: goTo, setParams });
export const useLocalSearchParams = () => useSyncExternalStore(subscribe, currentAddress).params;
export const useGlobalSearchParams = () => useSyncExternalStore(subscribe, currentAddress).params;
export const usePathname = () => useSyncExternalStore(subscribe, currentAddress).pathname;
