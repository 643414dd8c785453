export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';
export { NoPage as default } from '../ui/shell/no-page.tsx';
