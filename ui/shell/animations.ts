import { Animated, InteractionManager } from 'react-native';

/** Work that waits for a quiet moment goes on after so many milliseconds at most, whether there was one or not. */
const PATIENCE_MS = 50;

/**
 * A browser has no native driver. Libraries ask for it all the same, which is noted in the console at the first
 * animation; here the plain driver is asked for at once.
 */
export const animatePlainly = (): void => {
  const { timing, spring } = Animated;
  const plain = { useNativeDriver: false, isInteraction: false };
  const plainTiming: typeof timing = (value, config) => timing(value, { ...config, ...plain });
  const plainSpring: typeof spring = (value, config) => spring(value, { ...config, ...plain });
  Object.assign(Animated, { timing: plainTiming, spring: plainSpring });
};

/**
 * Long lists draw their further rows only once no animation runs, no finger drags and the browser is idle. A drag whose
 * component is drawn again on the way never ends in React Native's count, and a busy browser is never idle: all lists would
 * stay cut off for good. So a drag is not counted, and idleness is not waited for.
 */
export const neverHoldListsUp = (): void => {
  Object.assign(InteractionManager, { createInteractionHandle: () => 0 });
  InteractionManager.setDeadline(PATIENCE_MS);
};
