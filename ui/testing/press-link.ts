import { fireEvent } from '@testing-library/react-native';

/** Presses a link as a browser does, with an event that can be kept from following its address. */
export const pressLink = (link: Parameters<typeof fireEvent.press>[0]): void =>
  fireEvent.press(link, { nativeEvent: {}, preventDefault: () => undefined });
