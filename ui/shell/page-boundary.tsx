import { Component, type ErrorInfo, type ReactNode } from 'react';
import { PageFault } from './page-fault.tsx';

interface State {
  error: Error | null;
}

/**
 * Keeps a fault of one part of the program to that part: it is told there, and all else goes on. Pages have theirs
 * from the router; this one is for what stands beside them.
 */
export class PageBoundary extends Component<{ children: ReactNode }, State> {
  override state: State = { error: null };

  static getDerivedStateFromError(error: unknown): State {
    return { error: error instanceof Error ? error : new Error(String(error)) };
  }

  override componentDidCatch(error: unknown, { componentStack }: ErrorInfo): void {
    console.error(error, componentStack);
  }

  override render(): ReactNode {
    const { error } = this.state;
    const retry = (): void => this.setState({ error: null });
    return error ? <PageFault error={error} retry={retry} /> : this.props.children;
  }
}
