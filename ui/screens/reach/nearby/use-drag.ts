import { useRef, useState } from 'react';
import { PanResponder, type GestureResponderHandlers } from 'react-native';

interface Drag {
  /** From how far on a press becomes a drag; 0 takes every press. */
  from: number;
  onStart?: () => void;
  /** How far the pointer is from where it went down, in pixels. */
  onMove: (dx: number, dy: number) => void;
}

/** What follows a pointer that is pressed down on it: one responder for as long as it is drawn, whatever moves. */
export const useDrag = (drag: Drag): GestureResponderHandlers => {
  const latest = useRef(drag);
  latest.current = drag;
  const [responder] = useState(() =>
    PanResponder.create({
      onStartShouldSetPanResponder: () => latest.current.from === 0,
      onMoveShouldSetPanResponder: (_, { dx, dy, numberActiveTouches }) =>
        numberActiveTouches < 2 && Math.abs(dx) + Math.abs(dy) >= latest.current.from,
      onPanResponderTerminationRequest: () => false,
      onPanResponderGrant: () => latest.current.onStart?.(),
      onPanResponderMove: (_, { dx, dy }) => latest.current.onMove(dx, dy),
    }),
  );
  return responder.panHandlers;
};
