import { Animated, InteractionManager } from 'react-native';

/** Work that waits for a quiet moment goes on after so many milliseconds at most, whether there was one or not. */
const PATIENCE_MS = 50;

/**
 * A browser has no native driver. Libraries ask for it all the same, which is noted in the console at the first
 * animation; here the plain driver is asked for at once. Nor does anything wait for an animation to end, or for the
 * browser to be idle: long lists draw the rest of their rows then, and one animation that never ended, or a browser that
 * is never idle, would leave them cut off.
 */
export const animatePlainly = (): void => {
  const { timing, spring } = Animated;
  const plain = { useNativeDriver: false, isInteraction: false };
  const plainTiming: typeof timing = (value, config) => timing(value, { ...config, ...plain });
  const plainSpring: typeof spring = (value, config) => spring(value, { ...config, ...plain });
  Object.assign(Animated, { timing: plainTiming, spring: plainSpring });
  InteractionManager.setDeadline(PATIENCE_MS);
};
