export function exportApp(): Promise<void>;
export function exportGallery(): Promise<void>;
