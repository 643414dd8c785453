import { Redirect } from 'expo-router';

export { PageFault as ErrorBoundary } from '../ui/shell/page-fault.tsx';

export default function NotFound() {
  return <Redirect href="/charges" />;
}
