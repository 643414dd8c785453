export function exportApp(): Promise<void>;
