import { lazy } from 'react';
import { Later } from '../ui/parts/later.tsx';

const Gallery = lazy(() => import('../ui/gallery/gallery.tsx'));

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

/** Every part in every state, in development alone (metro.config.js). */
export default function GalleryRoute() {
  return (
    <Later>
      <Gallery />
    </Later>
  );
}
