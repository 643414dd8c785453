import isEqual from 'fast-deep-equal/es6';
import { memo, useRef, type ComponentType } from 'react';

type Handler = (...args: unknown[]) => unknown;

/**
 * A component that is drawn again only when it would look other. Styles and lists it is given are compared by what is
 * in them, and of each function the newest is called, though the component saw another: it must call functions for
 * what a person does, and not while it is drawn.
 */
export const memoizedByLooks = <P extends object>(
  Component: ComponentType<P>,
): ((props: P) => React.JSX.Element) => {
  const Drawn = memo(Component, isEqual) as unknown as ComponentType<P>;
  const Memoized = (props: P) => {
    const newest = useRef(props);
    newest.current = props;
    const handlers = useRef<Record<string, Handler>>({});
    const handler = (name: string): Handler =>
      (handlers.current[name] ??= (...args) =>
        (newest.current as Record<string, Handler | undefined>)[name]?.(...args));
    const entries = Object.entries(props).map(([name, value]) => [
      name,
      typeof value === 'function' ? handler(name) : (value as unknown),
    ]);
    return <Drawn {...(Object.fromEntries(entries) as P)} />;
  };
  Memoized.displayName = `MemoizedByLooks(${Component.displayName ?? Component.name})`;
  return Memoized;
};
