import { useLocalSearchParams, useRouter } from 'expo-router';

/** What of the board is open, as the address says. */
export interface Open {
  zone: string | undefined;
  service: string | undefined;
  /** The settings of a zone or of a service, in place of a cell. */
  panel: 'zone' | 'service' | undefined;
}

export interface Opening extends Open {
  openCell: (zone: string, service: string) => void;
  openZone: (zone: string) => void;
  openService: (service: string) => void;
  /** On a phone: the zone whose services are listed. */
  showZone: (zone: string) => void;
  close: () => void;
}

/** What is open on the board, kept in the address so that the browser's way back works. */
export const useOpening = (): Opening => {
  const router = useRouter();
  const { zone, service, panel } = useLocalSearchParams<{
    zone?: string;
    service?: string;
    panel?: 'zone' | 'service';
  }>();
  const go = (params: Partial<Record<'zone' | 'service' | 'panel', string>>): void =>
    router.navigate({ pathname: '/charges', params });
  const set = (params: Partial<Record<'zone' | 'service' | 'panel', string>>): void => {
    const isSame = params.zone === zone && params.service === service && params.panel === panel;
    go(isSame ? {} : params);
  };
  return {
    zone,
    service,
    panel,
    openCell: (z, s) => set({ zone: z, service: s }),
    openZone: (z) => set({ zone: z, panel: 'zone' }),
    openService: (s) => set({ service: s, panel: 'service' }),
    // Looking through the zones is no way that one would go back.
    showZone: (z) => router.setParams({ zone: z }),
    close: () => go(zone && (service || panel) ? { zone } : {}),
  };
};
