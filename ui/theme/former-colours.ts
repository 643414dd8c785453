/** The colours that Paper's controls name of its former palette; the other three hundred are never shown. */
export const black = '#000000';
export const white = '#ffffff';
export const pinkA100 = '#ff80ab';
export const pinkA400 = '#f50057';
export const grey50 = '#fafafa';
export const grey200 = '#eeeeee';
export const grey400 = '#bdbdbd';
export const grey700 = '#616161';
export const grey800 = '#424242';
