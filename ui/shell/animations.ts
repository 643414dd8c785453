import { Animated } from 'react-native';

/**
 * A browser has no native driver. Libraries ask for it all the same, which is noted in the console at the first
 * animation; here the plain driver is asked for at once.
 */
export const animatePlainly = (): void => {
  const { timing, spring } = Animated;
  const plainTiming: typeof timing = (value, config) => timing(value, { ...config, useNativeDriver: false });
  const plainSpring: typeof spring = (value, config) => spring(value, { ...config, useNativeDriver: false });
  Object.assign(Animated, { timing: plainTiming, spring: plainSpring });
};
