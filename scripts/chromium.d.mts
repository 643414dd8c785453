export function findChromium(): Promise<string | null>;
