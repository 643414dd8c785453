/** A text in which no line ends between a figure and its unit: 'up to 30 kg', '2 items', '4 %'. */
export const keptTogether = (text: string): string => text.replace(/(\d) (?=[a-z%])/g, '$1\u00a0');
