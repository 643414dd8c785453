import { TouchableRipple } from 'react-native-paper';
import type { ComponentProps } from 'react';

/** What can be pressed: Paper's, without the ripple's colour washing over the page's. */
export const Press = (props: ComponentProps<typeof TouchableRipple>) => (
  <TouchableRipple rippleColor="transparent" {...props} />
);
