import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';

interface Props {
  /** About how tall it is, until it was drawn once. */
  height: number;
  /** Drawn whether it is in sight or not. */
  keep: boolean;
  children: () => ReactNode;
}

/** How far outside the window something is still drawn, so that it is there before it is reached. */
const AHEAD = '400px';

/** Rows of a long table that are drawn only while they are in sight or near it; else their room is kept. */
export const InSight = ({ height, keep, children }: Props) => {
  const box = useRef<View>(null);
  const tall = useRef(height);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const element = box.current as unknown as Element | null;
    if (!element || typeof IntersectionObserver === 'undefined') return undefined;
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (!entry) return;
        if (entry.boundingClientRect.height > 0) tall.current = entry.boundingClientRect.height;
        setNear(entry.isIntersecting);
      },
      { rootMargin: AHEAD },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const drawn = near || keep;
  return (
    <View ref={box} role="rowgroup" style={drawn ? null : { height: tall.current }}>
      {drawn ? children() : null}
    </View>
  );
};
